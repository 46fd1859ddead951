package app.jubek.server.drift;

import app.jubek.core.drift.Drift;
import app.jubek.core.rule.RuleBook;
import app.jubek.server.pastmail.PastMail;
import app.jubek.server.platform.Refused;
import app.jubek.server.signals.Signals;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Changes that were found, until they are gone, answered or dismissed. */
@Component
class KeptDrifts {
    private static final int SHOWN = 20;

    private final DriftRepository drifts;
    private final Signals signals;
    private final Clock clock;

    KeptDrifts(DriftRepository drifts, Signals signals, Clock clock) {
        this.drifts = drifts;
        this.signals = signals;
        this.clock = clock;
    }

    private record Name(String rule, String key) {}

    /** What is found takes the place of what was; what was dismissed stays so. */
    @Transactional
    public void keep(PastMail.Window window, List<Drift> found, Instant since) {
        UUID mailbox = window.mailbox().id();
        Map<Name, DriftEntity> known = drifts.of(mailbox).stream()
                .collect(Collectors.toMap(each -> new Name(each.rule().value(), each.key()), Function.identity()));
        LocalDate day = LocalDate.ofInstant(since, window.mailbox().zone());
        for (Drift drift : found) {
            DriftEntity was = known.remove(new Name(drift.rule().id().value(), drift.key()));
            DriftEntity kept =
                    was == null ? new DriftEntity(mailbox, drift.rule().id(), drift.key()) : was;
            drifts.save(kept.found(drift, day, shown(window, drift), clock.instant()));
        }
        drifts.deleteAll(
                known.values().stream().filter(gone -> !gone.isDismissed()).toList());
    }

    private static List<Long> shown(PastMail.Window window, Drift drift) {
        return drift.shown().stream()
                .boxed()
                .sorted(Comparator.reverseOrder())
                .limit(SHOWN)
                .map(at -> window.past().message(at).id())
                .toList();
    }

    /** Those of rules that are on and have not changed since. */
    @Transactional(readOnly = true)
    public List<DriftEntity> open(UUID mailbox, RuleBook book) {
        return drifts.of(mailbox).stream()
                .filter(each -> !each.isDismissed())
                .filter(each -> book.find(each.rule())
                        .filter(rule -> rule.on() && rule.version() == each.ruleVersion())
                        .isPresent())
                .toList();
    }

    /**
     * @throws Refused as not found
     */
    @Transactional
    public void dismiss(UUID mailbox, UUID id, String who) {
        drifts.findByIdAndMailboxId(id, mailbox).orElseThrow(Refused::notFound).dismiss(who, clock.instant());
    }
}
