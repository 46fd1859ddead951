package app.jubek.formats.sieve;

import app.jubek.core.address.MailAddress;
import app.jubek.core.criteria.Setting;
import app.jubek.core.decide.CompiledBook;
import app.jubek.core.decide.Decision;
import app.jubek.core.decide.Engine;
import app.jubek.core.decide.Surroundings;
import app.jubek.core.message.MessageReading;
import app.jubek.core.people.AddressBook;
import app.jubek.core.people.OwnSide;
import app.jubek.core.plan.NotDone;
import app.jubek.core.plan.PlannedStep;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.safety.HopMark;
import app.jubek.core.safety.Ledger;
import app.jubek.core.schedule.Opening;
import app.jubek.core.step.StepKind;
import app.jubek.core.template.Prepared;
import app.jubek.core.text.Limits;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What rules do with a message, in short. */
final class Deciding {
    static final Instant NOW = Instant.parse("2026-11-26T09:30:00Z");

    private Deciding() {}

    static Decision decide(RuleBook book, String mail) {
        MailAddress me = MailAddress.of("me@example.com");
        OwnSide own = new OwnSide(me, List.of(me), List.of("example.com"));
        Setting setting = new Setting(own, AddressBook.empty(), NOW, NOW, ZoneOffset.UTC, false, me.address(), "INBOX");
        Surroundings at = new Surroundings(
                setting,
                Opening.usual(ZoneOffset.UTC),
                Ledger.empty(),
                new HopMark(new byte[32]),
                Map.of(),
                Prepared.nothing(),
                new Surroundings.Agreed.Everybody());
        byte[] octets = mail.replaceAll("\r?\n", "\r\n").getBytes(StandardCharsets.UTF_8);
        return Engine.decide(CompiledBook.of(book), new MessageReading(Limits.standard()).read(octets), at);
    }

    /** The steps, and "inbox" where the message stays there; answers count though they be withheld. */
    static Set<String> outcome(RuleBook book, String mail) {
        Decision decision = decide(book, mail);
        Set<String> found = decision.planned().stream()
                .map(PlannedStep::step)
                .filter(step -> step.kind() != StepKind.KEEP && step.kind() != StepKind.DELETE)
                .map(step -> step.done())
                .collect(Collectors.toCollection(TreeSet::new));
        Stream<StepKind> withheld = decision.notDone().stream()
                .map(NotDone::planned)
                .map(p -> p.step().kind());
        if (withheld.anyMatch(kind -> kind == StepKind.REPLY)) {
            found.add("answered");
        }
        if (decision.staysInInbox()) {
            found.add("inbox");
        }
        return found;
    }

    static Set<String> outcome(String script, String mail) {
        return outcome(SieveReading.read(script).book(), mail);
    }
}
