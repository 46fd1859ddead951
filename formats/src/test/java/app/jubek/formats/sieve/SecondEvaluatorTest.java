package app.jubek.formats.sieve;

import static org.assertj.core.api.Assertions.assertThat;

import app.jubek.formats.sieve.JSieve.SimpleMail;
import app.jubek.formats.sieve.RandomScript.Line;
import app.jubek.formats.sieve.syntax.SieveSyntaxException;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Scripts by seed, run by Jubek and by jSieve 0.8: the same actions. */
class SecondEvaluatorTest {
    private static final int SCRIPTS = 1_500;
    private static final int MAILS = 3;
    private static final List<String> SCRAPS = List.of(
            "",
            "\"",
            "{",
            "}",
            "(",
            "[",
            ";",
            ":",
            "\\",
            "/*",
            "#",
            "text:",
            "not ",
            "999999999999",
            "\n.\n",
            "\u0000",
            "é");

    private static boolean differ(List<Line> script, SimpleMail mail) {
        return !ours(script, mail).equals(JSieve.outcome(RandomScript.written(script), mail));
    }

    private static Set<String> ours(List<Line> script, SimpleMail mail) {
        return Deciding.outcome(RandomScript.written(script), mail.raw());
    }

    @Test
    void theSameActions() {
        RandomScript random = new RandomScript(20_261_126);
        int notPreset = 0;
        for (int i = 0; i < SCRIPTS; i++) {
            List<Line> script = random.script();
            for (int m = 0; m < MAILS; m++) {
                SimpleMail mail = random.mail();
                if (differ(script, mail)) {
                    List<Line> smallest = shrunk(script, mail);
                    assertThat(ours(smallest, mail))
                            .as("%s%n%s", RandomScript.written(smallest), mail.raw())
                            .isEqualTo(JSieve.outcome(RandomScript.written(smallest), mail));
                }
                notPreset += ours(script, mail).equals(Set.of("inbox")) ? 0 : 1;
            }
        }
        assertThat(random.used().values()).allMatch(times -> times >= 100);
        assertThat(notPreset).isGreaterThan(SCRIPTS * MAILS * 3 / 10);
    }

    /** What a script says of itself when it is written anew from the rules it was read into. */
    @Test
    void writtenAnewItDoesTheSame() {
        RandomScript random = new RandomScript(7);
        for (int i = 0; i < SCRIPTS / 10; i++) {
            String script = RandomScript.written(random.script());
            SimpleMail mail = random.mail();
            SieveWriting.Written again =
                    SieveWriting.write(SieveReading.read(script).book(), ServerClock.unknown());
            assertThat(again.notCarried()).as(script).isEmpty();
            assertThat(Deciding.outcome(again.script(), mail.raw()))
                    .as("%s%n%s%n%s", script, again.script(), mail.raw())
                    .isEqualTo(Deciding.outcome(script, mail.raw()));
        }
    }

    /** Whatever is done to a script, it is read or refused with a place in it. */
    @Test
    void aBrokenScriptIsReadOrRefusedWithItsPlace() {
        RandomScript random = new RandomScript(11);
        Random where = new Random(12);
        int refused = 0;
        for (int i = 0; i < SCRIPTS; i++) {
            StringBuilder script = new StringBuilder(RandomScript.written(random.script()));
            for (int n = where.nextInt(3); n >= 0; n--) {
                int at = where.nextInt(script.length());
                script.replace(
                        at, Math.min(script.length(), at + where.nextInt(4)), SCRAPS.get(where.nextInt(SCRAPS.size())));
            }
            try {
                SieveReading.read(script.toString());
            } catch (SieveSyntaxException wrong) {
                assertThat(wrong.place().line())
                        .isBetween(
                                1, (int) script.chars().filter(c -> c == '\n').count() + 1);
                refused++;
            }
        }
        assertThat(refused).isGreaterThan(SCRIPTS / 3);
    }

    /** Leaves out one line after the other, as long as the difference stays. */
    private static List<Line> shrunk(List<Line> script, SimpleMail mail) {
        for (List<Line> smaller : smaller(script)) {
            if (differ(smaller, mail)) {
                return shrunk(smaller, mail);
            }
        }
        return script;
    }

    private static List<List<Line>> smaller(List<Line> lines) {
        List<List<Line>> all = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            boolean chained = i + 1 < lines.size() && lines.get(i + 1).head().startsWith("els");
            List<Line> without = new ArrayList<>(lines);
            Line removed = without.remove(i);
            if (!chained || removed.head().startsWith("els")) {
                all.add(without);
            }
            for (List<Line> block : smaller(removed.block())) {
                List<Line> changed = new ArrayList<>(lines);
                changed.set(i, new Line(removed.head(), block));
                all.add(changed);
            }
        }
        return all;
    }
}
