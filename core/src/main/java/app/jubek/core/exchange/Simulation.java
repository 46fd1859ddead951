package app.jubek.core.exchange;

import app.jubek.core.address.MailAddress;
import app.jubek.core.decide.Decision;
import app.jubek.core.decide.DecisionContext;
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
import app.jubek.core.step.Step;
import app.jubek.core.text.Limits;
import app.jubek.core.view.MessageContext;
import java.time.ZoneOffset;
import java.time.ZonedDateTime;
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

    private final AllHere here;
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

    /**
     * A message on its way.
     *
     * @param before what led to it
     */
    private record Delivery(Posted posted, MailAddress from, MailAddress to, Passed.By by, List<Passed> before) {}

    /**
     * A message that got there.
     *
     * @param way what led to it, and itself
     */
    private record Got(MailAddress by, ByteSource bytes, ReadMessage message, List<Passed> way) {}

    Simulation(AllHere here, Correspondent among) {
        this.here = here;
        this.among = among;
        this.worst = Exchange.quiet(among);
        here.mailboxes().forEach(mailbox -> mailboxes.put(mailbox.identity(), new Memory()));
    }

    /** Depth first, so that what does not end is found soon, however many get the same. */
    Exchange from(FirstMessage first, MailboxHere mailbox) {
        underWay.push(
                new Delivery(first.posted(), first.from(), mailbox.identity(), new Passed.By.Sender(), List.of()));
        while (!underWay.isEmpty() && worst.how() != How.ENDLESS) {
            deliver(underWay.pop());
        }
        return worst;
    }

    private void deliver(Delivery delivery) {
        delivered++;
        Got got = arrived(delivery);
        if (got.way().size() > LONGEST || delivered > MOST) {
            List<Passed> beginning =
                    got.way().subList(0, Math.min(SHOWN, got.way().size()));
            worst = new Exchange(among, How.ENDLESS, beginning, Optional.empty());
            return;
        }
        here.at(got.by()).ifPresentOrElse(mailbox -> decide(mailbox, got), () -> answer(got));
    }

    private Got arrived(Delivery delivery) {
        ByteSource bytes = delivery.posted().arrived(delivery.to());
        ReadMessage message = reading.read(bytes.all());
        List<Passed> way = new ArrayList<>(delivery.before());
        way.add(new Passed(delivery.from(), delivery.to(), message.subject(), delivery.by()));
        return new Got(delivery.to(), bytes, message, List.copyOf(way));
    }

    /** What those elsewhere write to each other is none of our mail. */
    private void answer(Got got) {
        MailAddress self = got.by();
        Set<String> before = answeredBy.computeIfAbsent(self.key(), key -> new HashSet<>());
        String id = "<answer-" + delivered + "@" + self.domain() + ">";
        ZonedDateTime now = here.mailboxes().get(0).at().now().atZone(ZoneOffset.UTC);
        inWay(self)
                .answer(got.message(), self, before, id, now)
                .ifPresent(answer -> answer.to().stream().filter(here::isHere).forEach(to -> {
                    before.add(to.key());
                    underWay.push(new Delivery(answer, self, to, new Passed.By.Answered(), got.way()));
                }));
    }

    /** Whoever runs our own domains sees to it that nothing there answers everything. */
    private Correspondent inWay(MailAddress self) {
        return among == Correspondent.ANSWERS_EVERYTHING && here.isInside(self)
                ? Correspondent.AUTOMATIC_REPLIER
                : among;
    }

    private void decide(MailboxHere mailbox, Got got) {
        ReadMessage message = got.message();
        Memory memory = mailboxes.get(mailbox.identity());
        boolean conversation = message.references().stream().anyMatch(memory.sent::contains);
        DecisionContext at = mailbox.at().of(context(mailbox, conversation)).after(new ReplyHistory(memory.answers));
        Decision decision = Engine.decide(mailbox.rules(), message, at);
        decision.notDone().stream()
                .filter(not -> endsLoop(mailbox, got.way(), not))
                .findFirst()
                .ifPresent(not -> note(got.way(), not));
        Composer.Original original = new Composer.Original(message, got.bytes(), TraceFields.digestBelow(got.bytes()));
        Composer composer = mailbox.composer().of(decision.planned());
        for (PlannedStep step : leaving(decision)) {
            Composed composed = composer.compose(step, original, at.now());
            memory.sent.add(composed.messageId());
            remember(memory, step, message, at);
            Passed.By by = new Passed.By.OfRule(
                    mailbox.identity(),
                    step.rule(),
                    step.ruleName(),
                    step.step().kind());
            MailAddress to = composed.outgoing().recipient();
            underWay.push(new Delivery(posted(step, composed, original), mailbox.identity(), to, by, got.way()));
        }
    }

    /** What a person lets go one by one is no loop. */
    private List<PlannedStep> leaving(Decision decision) {
        List<PlannedStep> leaving = new ArrayList<>();
        int elsewhere = 0;
        for (PlannedStep step : decision.planned()) {
            boolean byItself =
                    step.sending().isPresent() && !step.step().release().isOnApproval();
            if (byItself && (here.isHere(step.sending().orElseThrow().to()) || elsewhere++ < ALIKE)) {
                leaving.add(step);
            }
        }
        return leaving;
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
    private static boolean endsLoop(MailboxHere mailbox, List<Passed> way, NotDone not) {
        return !not.waits()
                && END_LOOPS.contains(not.reason())
                && way.stream()
                        .filter(passed -> passed.by() instanceof Passed.By.OfRule)
                        .map(Passed::from)
                        .anyMatch(sent -> sent.sameAs(mailbox.identity())
                                || isTo(sent, not.planned().step()));
    }

    private static boolean isTo(MailAddress address, Step step) {
        return step instanceof Step.HandOn handOn && handOn.to().stream().anyMatch(address::sameAs);
    }

    private void note(List<Passed> way, NotDone not) {
        long sent = way.stream()
                .filter(passed -> passed.by() instanceof Passed.By.OfRule)
                .count();
        How how = sent > 1 ? How.WENT_ROUND : How.CAME_BACK;
        if (how.compareTo(worst.how()) < 0) {
            worst = new Exchange(among, how, way, Optional.of(not));
        }
    }

    private static void remember(Memory memory, PlannedStep planned, ReadMessage message, DecisionContext at) {
        if (planned.step() instanceof Step.Reply reply) {
            memory.answers.add(new ReplyHistory.Entry(
                    ReplyHistory.key(planned.rule(), reply.options()),
                    ReplyHistory.senders(message, reply.options().to()),
                    at.now()));
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
}
