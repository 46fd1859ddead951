package app.jubek.formats.sieve;

import app.jubek.core.address.MailAddress;
import app.jubek.core.decide.CompiledBook;
import app.jubek.core.decide.Decision;
import app.jubek.core.decide.DecisionContext;
import app.jubek.core.decide.Engine;
import app.jubek.core.people.AddressBook;
import app.jubek.core.people.OwnSide;
import app.jubek.core.plan.NotDone;
import app.jubek.core.plan.PlannedStep;
import app.jubek.core.reading.MessageReading;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.safety.HopMark;
import app.jubek.core.schedule.Opening;
import app.jubek.core.step.Step;
import app.jubek.core.step.StepKind;
import app.jubek.core.text.Limits;
import app.jubek.core.view.MessageContext;
import app.jubek.core.wording.Wording;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What rules do with a message, in short. */
final class Deciding {
    static final Instant NOW = Instant.parse("2026-11-26T09:30:00Z");

    private Deciding() {}

    static Decision decide(RuleBook book, String mail) {
        return decide(book, mail, NOW, ZoneOffset.UTC);
    }

    private static Decision decide(RuleBook book, String mail, Instant now, ZoneId zone) {
        MailAddress me = MailAddress.of("me@example.com");
        OwnSide own = new OwnSide(me, List.of(me), List.of("example.com"));
        MessageContext context =
                new MessageContext(own, AddressBook.empty(), now, now, zone, false, me.address(), "INBOX", false);
        DecisionContext at = DecisionContext.tryingOut(context, Opening.usual(zone), new HopMark(new byte[32]));
        byte[] bytes = mail.replaceAll("\r?\n", "\r\n").getBytes(StandardCharsets.UTF_8);
        return Engine.decide(CompiledBook.of(book), new MessageReading(Limits.standard()).read(bytes), at);
    }

    /** Whether rules that go by the time alone file what comes in then. */
    static boolean isFiled(RuleBook book, Instant now, ZoneId zone) {
        return decide(book, "Subject: x\n\nx\n", now, zone).planned().stream()
                .anyMatch(planned -> planned.step().kind() == StepKind.FILE);
    }

    /** The steps, and "inbox" where the message stays there; answers count though they be withheld. */
    static Set<String> outcome(RuleBook book, String mail) {
        Decision decision = decide(book, mail);
        Set<String> found = decision.planned().stream()
                .filter(planned -> planned.step().kind() != StepKind.DELETE && !follows(planned, decision))
                .map(PlannedStep::step)
                .map(step -> step instanceof Step.Copy copy ? new Step.File(copy.target()) : step)
                .map(step -> Wording.english().of(step.statement()))
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

    /** Leaving the inbox after being handed on, which a script does without a word. */
    private static boolean follows(PlannedStep trash, Decision decision) {
        return trash.step() == Step.Plain.TRASH
                && decision.planned().stream()
                        .anyMatch(other -> other.step() instanceof Step.HandOn
                                && other.rule().equals(trash.rule())
                                && other.ordinal() == trash.ordinal());
    }

    static Set<String> outcome(String script, String mail) {
        return outcome(SieveReading.read(script).book(), mail);
    }
}
