package app.jubek.server.agreement;

import app.jubek.core.address.MailAddress;
import app.jubek.core.people.Agreement;
import app.jubek.core.people.Agreements;
import app.jubek.core.step.StepState;
import app.jubek.core.wording.Statement;
import app.jubek.server.platform.Refused;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Collection;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what addresses have said, and changes it as {@link Agreement} allows. */
@Service
public class StoredAgreements {
    /** A new rule is often tried, put right or paused again within this. */
    private static final Duration TELL_AFTER = Duration.ofHours(1);

    private static final Duration STOP_ASKED_FOR = Duration.ofDays(1);
    private static final Limit MOST_SAID = Limit.of(500);
    private static final Set<Agreement> GIVEN = EnumSet.of(Agreement.CONFIRMED, Agreement.VOUCHED_FOR);

    private final AgreementRepository agreements;
    private final AgreementChangeRepository changes;
    private final AgreementRequestRepository requests;
    private final Clock clock;

    StoredAgreements(
            AgreementRepository agreements,
            AgreementChangeRepository changes,
            AgreementRequestRepository requests,
            Clock clock) {
        this.agreements = agreements;
        this.changes = changes;
        this.requests = requests;
        this.clock = clock;
    }

    /**
     * @param who a person's name, or the address itself
     */
    public record Change(Instant at, Agreement.Event event, String who) {}

    /**
     * @param who as of a {@link Change}
     * @param address of the destination
     */
    public record Said(Instant at, Agreement.Event event, String who, String address) {}

    /** What was said of all destinations in a time, the newest first; of very much the newest alone. */
    @Transactional(readOnly = true)
    public List<Said> said(UUID mailbox, Instant from, Instant until) {
        return changes.between(mailbox, from, until, MOST_SAID);
    }

    /**
     * @param endsAt of an agreement that is given
     * @param askedAt when the last request was sent
     * @param fault why that one did not leave
     * @param nextRequest when it is asked again by itself
     * @param failures messages in a row that did not get there
     */
    public record Destination(
            UUID id,
            UUID mailbox,
            MailAddress address,
            Agreement state,
            Instant since,
            Optional<Instant> endsAt,
            String askedBy,
            Optional<Instant> askedAt,
            Optional<Statement> fault,
            Optional<Instant> nextRequest,
            int failures,
            boolean stopAsked,
            List<Change> changes) {}

    /** For decisions. What has ended counts as lapsed at once. */
    @Transactional(readOnly = true)
    public Agreements of(UUID mailbox) {
        Instant now = clock.instant();
        return new Agreements.Known(agreements.of(mailbox).stream()
                .collect(Collectors.toMap(AgreementEntity::key, each -> state(each, now))));
    }

    private static Agreement state(AgreementEntity each, Instant now) {
        boolean ended = each.endsAt().filter(end -> !end.isAfter(now)).isPresent();
        return ended ? each.state().after(Agreement.Event.LAPSED).orElse(each.state()) : each.state();
    }

    @Transactional(readOnly = true)
    public List<Destination> all(UUID mailbox) {
        return shown(agreements.of(mailbox));
    }

    /**
     * @throws Refused when the mailbox has no such destination
     */
    @Transactional(readOnly = true)
    public Destination find(UUID mailbox, UUID id) {
        return shown(List.of(agreements.findByIdAndMailboxId(id, mailbox).orElseThrow(Refused::notFound)))
                .get(0);
    }

    /** What an address has said, where it was ever asked or told. */
    @Transactional(readOnly = true)
    public Optional<Destination> find(UUID mailbox, String address) {
        return agreements
                .of(mailbox, MailAddress.of(address).key())
                .map(found -> shown(List.of(found)).get(0));
    }

    /** Whoever has its mail wants no more; the address itself is asked whether that is so, once a day for all who say it. */
    @Transactional
    public void askToStop(UUID id) {
        AgreementEntity agreement = agreements.toChange(id).orElseThrow(Refused::notFound);
        Instant now = clock.instant();
        if (agreement.state().isGiven() && !agreement.isStopAsked(now.minus(STOP_ASKED_FOR))) {
            agreement.askToStop(now);
        }
    }

    private List<Destination> shown(List<AgreementEntity> found) {
        List<UUID> ids = found.stream().map(AgreementEntity::id).toList();
        Map<UUID, List<AgreementChangeEntity>> history =
                changes.of(ids).stream().collect(Collectors.groupingBy(AgreementChangeEntity::agreement));
        Map<UUID, AgreementRequestEntity> latest = requests.latest(ids).stream()
                .collect(Collectors.toMap(AgreementRequestEntity::agreement, Function.identity(), (one, other) -> one));
        Instant now = clock.instant();
        return found.stream()
                .map(each -> shown(
                        each,
                        state(each, now),
                        Optional.ofNullable(latest.get(each.id())),
                        failures(each),
                        each.isStopAsked(now.minus(STOP_ASKED_FOR)),
                        history.getOrDefault(each.id(), List.of())))
                .toList();
    }

    private static Destination shown(
            AgreementEntity each,
            Agreement state,
            Optional<AgreementRequestEntity> request,
            int failures,
            boolean stopAsked,
            List<AgreementChangeEntity> history) {
        return new Destination(
                each.id(),
                each.mailbox(),
                each.address(),
                state,
                each.since(),
                each.endsAt(),
                each.askedBy(),
                request.map(AgreementRequestEntity::sentAt),
                request.flatMap(AgreementRequestEntity::fault),
                each.requestDueAt(),
                failures,
                stopAsked,
                history.stream().map(AgreementChangeEntity::change).toList());
    }

    /** Asks addresses outside that were never asked; a request goes to each of them soon. */
    @Transactional
    public void ask(UUID mailbox, Collection<MailAddress> outside, String who) {
        outside.forEach(address -> begin(mailbox, address, Agreement.ASKED, Agreement.Event.ASKED, who));
        Set<String> keys = outside.stream().map(MailAddress::key).collect(Collectors.toSet());
        agreements.of(mailbox).stream()
                .filter(known -> known.state() == Agreement.TOLD && keys.contains(known.key()))
                .forEach(wasInside -> askAgain(wasInside.id(), who));
    }

    /** Tells addresses in own domains that were never told; a message goes to each of them after an hour. */
    @Transactional
    public void tell(UUID mailbox, Collection<MailAddress> inside, String who) {
        inside.forEach(address -> begin(mailbox, address, Agreement.TOLD, Agreement.Event.TOLD, who));
    }

    private void begin(UUID mailbox, MailAddress address, Agreement state, Agreement.Event event, String who) {
        UUID id = UUID.randomUUID();
        Instant now = clock.instant();
        Instant due = state == Agreement.TOLD ? now.plus(TELL_AFTER) : now;
        if (agreements.begin(id, mailbox, address.address(), address.key(), state, now, due, who) > 0) {
            changes.save(new AgreementChangeEntity(id, now, event, who));
        }
    }

    /**
     * A person asks once more.
     *
     * @throws Refused when the address may not be asked now
     */
    @Transactional
    public void askAgain(UUID id, String who) {
        change(id, Agreement.Event.ASKED, who).askAnew(who, clock.instant());
    }

    /**
     * @throws Refused when that may not happen to it as it is now
     */
    @Transactional
    public void happened(UUID id, Agreement.Event event, String who) {
        change(id, event, who);
    }

    private AgreementEntity change(UUID id, Agreement.Event event, String who) {
        AgreementEntity agreement = agreements.toChange(id).orElseThrow(Refused::notFound);
        Instant now = clock.instant();
        Agreement before = state(agreement, now);
        Agreement next = before.after(event)
                .orElseThrow(() -> Refused.conflict(
                        agreement.address().address() + refusal(before) + ", so that can't be done.", Map.of()));
        if (event != Agreement.Event.ASKED || next != before) {
            agreement.become(next, now, next.isGiven() ? Optional.of(end(now)) : Optional.empty());
        }
        if (event != Agreement.Event.ASKED) {
            agreement.askNext(agreement.renewedAt());
        }
        changes.save(new AgreementChangeEntity(id, now, event, who));
        return agreement;
    }

    private static String refusal(Agreement state) {
        return switch (state) {
            case DECLINED -> " has declined";
            case CONFIRMED -> " has agreed already";
            case VOUCHED_FOR -> " is vouched for";
            case ASKED -> " has not answered yet";
            case LAPSED -> " agreed too long ago";
            case TOLD -> " is one of ours and gets mail without being asked";
            case OBJECTED -> " has objected";
        };
    }

    private static Instant end(Instant now) {
        return now.atZone(ZoneOffset.UTC).plus(Agreement.LASTS).toInstant();
    }

    /** A message did not get to an address. Several in a row end its agreement, where it has given one. */
    @Transactional
    public void failed(UUID mailbox, String recipient) {
        agreements
                .of(mailbox, MailAddress.of(recipient).key())
                .filter(agreement -> agreement.state().isGiven())
                .filter(agreement -> failures(agreement) >= Agreement.FAILURES)
                .ifPresent(agreement -> change(agreement.id(), Agreement.Event.UNREACHED, ""));
    }

    private int failures(AgreementEntity agreement) {
        List<StepState> latest = agreements.latestTo(
                agreement.mailbox(), agreement.key(), agreement.since(), Limit.of(Agreement.FAILURES));
        return (int) latest.stream().takeWhile(StepState.FAILED::equals).count();
    }

    /** Notes which agreements have ended. */
    @Transactional
    public void lapse() {
        agreements.ended(GIVEN, clock.instant()).forEach(this::lapse);
    }

    private void lapse(UUID id) {
        AgreementEntity agreement = agreements.toChange(id).orElseThrow();
        Instant now = clock.instant();
        if (agreement.endsAt().isEmpty()) {
            return; // another process was first
        }
        agreement.become(Agreement.LAPSED, now, Optional.empty());
        agreement.askNext(Optional.empty());
        changes.save(new AgreementChangeEntity(id, now, Agreement.Event.LAPSED, ""));
    }
}
