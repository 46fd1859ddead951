# Shared by the commands in this folder; not run by itself.
set -euo pipefail
ROOT="$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)"
LOCAL="$ROOT/.local"
VERSION=0.1.0
WEB_PORT="${JUBEK_WEB_PORT:-8480}"
export JUBEK_SMTP_PORT="${JUBEK_SMTP_PORT:-8481}"
export JUBEK_IMAP_PORT="${JUBEK_IMAP_PORT:-8482}"
export JUBEK_CONTROL_PORT="${JUBEK_CONTROL_PORT:-8483}"
export PG_PORT="${PG_PORT:-8484}"

say() { printf '%s\n' "$*"; }
die() { printf 'jubek: %s\n' "$*" >&2; exit 1; }

# Where the keys lie: as the server reads it from the environment or the settings.
data_dir() {
  local settings="${JUBEK_SETTINGS:-$ROOT/jubek.properties}" set=""
  [[ ! -f $settings ]] || set="$(sed -n 's/^ *jubek\.data-dir *= *//p' "$settings" | tail -1)"
  echo "${JUBEK_DATADIR:-${set:-$LOCAL/jubek}}"
}

need_tools() {
  command -v java >/dev/null || die "java is missing: install a JDK 17 (Debian: apt-get install openjdk-17-jdk-headless)"
  command -v mvn >/dev/null || die "mvn is missing: install Maven (Debian: apt-get install maven)"
  command -v npm >/dev/null || die "npm is missing: install Node 20 with npm"
  local major; major="$(java -version 2>&1 | sed -n 's/.*version "\([0-9]*\).*/\1/p')"
  [[ ${major:-0} -ge 17 ]] || die "Java 17 or newer is needed, found $major"
}

# Debian packages that are missing, installed as root and said aloud.
need_package() { # package, file that shows it is there
  [[ -e $2 ]] && return 0
  [[ $(id -u) == 0 ]] || die "$1 is missing: run 'apt-get install $1' as root, then try again"
  say "installing Debian's package $1"
  export DEBIAN_FRONTEND=noninteractive
  apt-get update -qq
  apt-get install -y -qq --no-install-recommends "$1" >/dev/null
}

# Open data that checks read; it holds real addresses of long ago, so it is installed and never committed.
need_datasets() {
  local mark="$ROOT/datasets/node_modules/.package-lock.json"
  [[ -f $mark && ! $ROOT/datasets/package-lock.json -nt $mark ]] && return 0
  say "installing the open data sets"
  (cd "$ROOT/datasets" && npm ci --ignore-scripts --no-audit --no-fund --loglevel=error >/dev/null)
}

need_free_port() { # port, what for, variable
  if (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; then
    die "port $1 ($2) is taken: stop what listens there, or choose another with $3=PORT"
  fi
}

# Builds when a source is newer than the last build.
build() {
  [[ -z ${JUBEK_BUILT:-} ]] || return 0
  local mark="$LOCAL/built"
  mkdir -p "$LOCAL"
  if [[ -f $mark && -f $ROOT/server/target/app/jubek-server-$VERSION-exec.jar ]] &&
    [[ -z $(find "$ROOT" \( -name target -o -name node_modules -o -name .git -o -name .local \) -prune -o \
      \( -name '*.java' -o -name '*.ts' -o -name '*.tsx' -o -name '*.css' -o -name '*.sql' -o -name '*.yaml' \
      -o -name '*.json' -o -name '*.properties' -o -path '*/docs/guide.md' -o -name 'pom.xml' -o -name '*.html' \) -not -name schema.d.ts -newer "$mark" -print -quit) ]]; then
    return 0
  fi
  say "building (a few minutes the first time)"
  (cd "$ROOT" && mvn -q -B -Dstyle.color=never -DskipTests -pl demo-server,demo -am package) | sed -e 's/\x1b\[[0-9;]*m//g' -e '/^$/d'
  (cd "$ROOT/server/target" && rm -rf app && java -Djarmode=tools -jar "jubek-server-$VERSION-exec.jar" extract --destination app)
  touch "$mark"
}

# The server with arguments; classes are archived at the first start, so that later ones are quick (JEP 350).
# MORE_CLASSES names a jar that is on the class path as well.
server_command() {
  local main=app.jubek.server.JubekApplication jar="$ROOT/server/target/app/jubek-server-$VERSION-exec.jar" archive="$ROOT/server/target/app/classes.jsa"
  local java=(java -XX:+UseSerialGC -Xmx1g -Xshare:auto -Xlog:disable)
  if [[ ! -f $archive ]]; then
    "${java[@]}" -XX:ArchiveClassesAtExit="$archive" -Dspring.context.exit=onRefresh -cp "$jar" $main "$@" >/dev/null 2>&1 || true
  fi
  SERVER=("${java[@]}" ${SERVER_JVM[@]+"${SERVER_JVM[@]}"} -XX:SharedArchiveFile="$archive" -cp "$jar${MORE_CLASSES:+:$MORE_CLASSES}" $main "$@")
}

wait_for_server() { # pid and log of the server, and of each process that it needs
  local i log
  for _ in $(seq 600); do
    if (exec 3<>"/dev/tcp/127.0.0.1/$WEB_PORT") 2>/dev/null &&
      curl -fsS "http://127.0.0.1:$WEB_PORT/actuator/health/readiness" >/dev/null 2>&1; then return 0; fi
    for ((i = 1; i < $#; i += 2)); do
      log="${@:i+1:1}"
      kill -0 "${!i}" 2>/dev/null || { [[ ! -f $log ]] || tail -30 "$log" >&2; die "it did not start; the whole log is $log"; }
    done
    sleep 0.2
  done
  die "the server is not ready after two minutes; its log is $2"
}
