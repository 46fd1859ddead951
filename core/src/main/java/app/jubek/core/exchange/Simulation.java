package app.jubek.core.exchange;

import app.jubek.core.address.MailAddress;
import app.jubek.core.decide.Decision;
import app.jubek.core.decide.Engine;
import app.jubek.core.exchange.Exchange.How;
import app.jubek.core.message.ByteSource;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.outgoing.Composed;
import app.jubek.core.outgoing.Composer;
import app.jubek.core.outgoing.Redirected;
import app.jubek.core.plan.NotDone;
import app.jubek.core.plan.PlannedStep;
import app.jubek.core.plan.Reason;
import app.jubek.core.reading.MessageReading;
import app.jubek.core.reading.TraceFields;
import app.jubek.core.safety.ReplyHistory;
import app.jubek.core.step.Release;
import app.jubek.core.step.Step;
import app.jubek.core.text.Limits;
import app.jubek.core.view.MessageContext;
import java.time.ZoneOffset;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** One exchange as it is played through: each message with the bytes that it would have. */
final class Simulation {
    /** Messages one after the other, each caused by the one before; what is still going on then does not end. */
    private static final int LONGEST = 20;

    /** Messages in all. */
    private static final int MOST = 1_000;

    /** Of those elsewhere who would get the same: the others would do as they do. */
    private static final int ALIKE = 6;

    /** Messages that show how an exchange without end begins. */
    private static final int SHOWN = 8;

    /** What keeps a message that came back from being sent on. */
    private static final Set<Reason> END_LOOPS = EnumSet.of(
            Reason.LOOP,
            Reason.TOO_MANY_HOPS,
            Reason.BACK_TO_SENDER,
            Reason.BACK_TO_MAILBOX,
            Reason.ANSWERED_BEFORE,
            Reason.ANSWERS_A_DAY,
            Reason.AUTOMATIC,
            Reason.NULL_RETURN_PATH,
            Reason.CONVERSATION,
            Reason.HANDED_ON,
            Reason.OWN_SENDER);

    private final List<MailboxHere> here;
    private final Correspondent among;
    private final MessageReading reading = new MessageReading(Limits.standard());
    private final Deque<Delivery> underWay = new ArrayDeque<>();
    private final Map<MailAddress, Memory> mailboxes = new HashMap<>();
    private final Map<String, Set<String>> answeredBy = new HashMap<>();
    private Exchange worst;
    private int delivered;

    /** What a mailbox knows of what it sent. */
    private static final class Memory {
        private final List<ReplyHistory.Entry> answers = new ArrayList<>();
        private final Set<String> sent = new HashSet<>();
    }

    private record Delivery(Posted posted, MailAddress to, List<Passed> way) {
        ByteSource arrived() {
            return posted.arrived(to);
        }
    }

    Simulation(List<MailboxHere> here, Correspondent among) {
        this.here = here;
        this.among = among;
        this.worst = Exchange.quiet(among);
        here.forEach(mailbox -> mailboxes.put(mailbox.identity(), new Memory()));
    }

    /** Depth first, so that what does not end is found soon, however many get the same. */
    Exchange from(FirstMessage first, MailAddress mailbox) {
        Passed passed = new Passed(first.from(), mailbox, first.subject(), new Passed.By.Sender());
        underWay.push(new Delivery(first.posted(), mailbox, List.of(passed)));
        while (!underWay.isEmpty() && worst.how() != How.ENDLESS) {
            deliver(underWay.pop());
        }
        return worst;
    }

    private void deliver(Delivery delivery) {
        delivered++;
        if (delivery.way().size() > LONGEST || delivered > MOST) {
            List<Passed> beginning =
                    delivery.way().subList(0, Math.min(SHOWN, delivery.way().size()));
            worst = new Exchange(among, How.ENDLESS, beginning, Optional.empty());
            return;
        }
        here.stream()
                .filter(mailbox -> mailbox.own().isOwn(delivery.to()))
                .findFirst()
                .ifPresentOrElse(mailbox -> decide(mailbox, delivery), () -> answer(delivery));
    }

    /** What those elsewhere write to each other is none of our mail. */
    private void answer(Delivery delivery) {
        MailAddress self = delivery.to();
        Set<String> before = answeredBy.computeIfAbsent(self.key(), key -> new HashSet<>());
        String id = "<answer-" + delivered + "@" + self.domain() + ">";
        inWay(self)
                .answer(
                        reading.read(delivery.arrived().all()),
                        self,
                        before,
                        id,
                        here.get(0).at().now().atZone(ZoneOffset.UTC))
                .ifPresent(answer -> answer.to().stream().filter(this::isHere).forEach(to -> {
                    before.add(to.key());
                    Passed passed = new Passed(self, to, read(answer).subject(), new Passed.By.Answered());
                    send(delivery, answer, passed);
                }));
    }

    /** Whoever runs our own domains sees to it that nothing there answers everything. */
    private Correspondent inWay(MailAddress self) {
        boolean inside = here.stream().anyMatch(mailbox -> mailbox.own().isInside(self));
        return inside && among == Correspondent.ANSWERS_EVERYTHING ? Correspondent.AUTOMATIC_REPLIER : among;
    }

    private void decide(MailboxHere mailbox, Delivery delivery) {
        ByteSource bytes = delivery.arrived();
        ReadMessage message = reading.read(bytes.all());
        Memory memory = mailboxes.get(mailbox.identity());
        Decision decision = Engine.decide(
                mailbox.rules(),
                message,
                mailbox.at()
                        .of(context(mailbox, message.references().stream().anyMatch(memory.sent::contains)))
                        .after(new ReplyHistory(memory.answers)));
        decision.notDone().stream()
                .filter(not -> endsLoop(mailbox, delivery, not))
                .findFirst()
                .ifPresent(not -> note(mailbox, delivery, not));
        Composer.Original original = new Composer.Original(message, bytes, TraceFields.digestBelow(bytes));
        Composer composer = mailbox.composer().of(decision.planned());
        for (PlannedStep step : leaving(decision)) {
            Composed composed = composer.compose(step, original, mailbox.at().now());
            memory.sent.add(composed.messageId());
            remember(memory, step, message, mailbox);
            send(delivery, posted(step, composed, original), passed(mailbox, step, composed, original));
        }
    }

    /** What a person lets go one by one is no loop. */
    private List<PlannedStep> leaving(Decision decision) {
        List<PlannedStep> leaving = new ArrayList<>();
        int elsewhere = 0;
        for (PlannedStep step : decision.planned()) {
            boolean byItself = step.sending().isPresent() && step.step().release() != Release.Plain.ON_APPROVAL;
            if (byItself && (isHere(step.sending().orElseThrow().to()) || elsewhere++ < ALIKE)) {
                leaving.add(step);
            }
        }
        return leaving;
    }

    private boolean isHere(MailAddress address) {
        return here.stream().anyMatch(mailbox -> mailbox.own().isOwn(address));
    }

    private static MessageContext context(MailboxHere mailbox, boolean conversation) {
        MessageContext any = mailbox.at().context();
        return new MessageContext(
                any.own(),
                any.people(),
                any.now(),
                any.now(),
                any.zone(),
                conversation,
                any.mailbox(),
                any.folder(),
                false);
    }

    /** Whether it would have gone on from, or back to, a mailbox whose rules sent what led to it. */
    private static boolean endsLoop(MailboxHere mailbox, Delivery delivery, NotDone not) {
        return !not.waits()
                && END_LOOPS.contains(not.reason())
                && delivery.way().stream()
                        .filter(passed -> passed.by() instanceof Passed.By.OfRule)
                        .map(Passed::from)
                        .anyMatch(sent -> sent.sameAs(mailbox.identity())
                                || isTo(sent, not.planned().step()));
    }

    private static boolean isTo(MailAddress address, Step step) {
        return step instanceof Step.HandOn handOn && handOn.to().stream().anyMatch(address::sameAs);
    }

    private void note(MailboxHere mailbox, Delivery delivery, NotDone not) {
        long sent = delivery.way().stream()
                .filter(passed -> passed.by() instanceof Passed.By.OfRule)
                .count();
        How how = sent > 1 ? How.WENT_ROUND : How.CAME_BACK;
        if (how.compareTo(worst.how()) < 0) {
            worst = new Exchange(among, how, delivery.way(), Optional.of(not));
        }
    }

    private static void remember(Memory memory, PlannedStep planned, ReadMessage message, MailboxHere mailbox) {
        if (planned.step() instanceof Step.Reply reply) {
            memory.answers.add(new ReplyHistory.Entry(
                    ReplyHistory.key(planned.rule(), reply.options()),
                    ReplyHistory.senders(message, reply.options().to()),
                    mailbox.at().now()));
        }
    }

    private static Posted posted(PlannedStep step, Composed composed, Composer.Original original) {
        ByteSource written = ByteSource.of(composed.bytes());
        ByteSource all = step.step() instanceof Step.Redirect ? new Redirected(written, original.bytes()) : written;
        return new Posted(
                composed.outgoing().envelopeSender(),
                List.of(composed.outgoing().recipient()),
                all.all());
    }

    private Passed passed(MailboxHere mailbox, PlannedStep step, Composed composed, Composer.Original original) {
        Passed.By by = new Passed.By.OfRule(
                mailbox.identity(), step.rule(), step.ruleName(), step.step().kind());
        String subject = read(posted(step, composed, original)).subject();
        return new Passed(mailbox.identity(), composed.outgoing().recipient(), subject, by);
    }

    private void send(Delivery after, Posted posted, Passed passed) {
        List<Passed> way = new ArrayList<>(after.way());
        way.add(passed);
        underWay.push(new Delivery(posted, passed.to(), List.copyOf(way)));
    }

    private ReadMessage read(Posted posted) {
        return reading.read(posted.bytes());
    }
}
