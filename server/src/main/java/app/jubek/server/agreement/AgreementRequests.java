package app.jubek.server.agreement;

import app.jubek.core.outgoing.AgreementRequest;
import app.jubek.core.people.Agreement;
import app.jubek.core.people.AgreementAnswer;
import app.jubek.core.safety.Clearance;
import app.jubek.core.safety.Cleared;
import app.jubek.core.safety.Outgoing;
import app.jubek.core.wording.Statement;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.platform.Refused;
import app.jubek.server.platform.Sha256;
import app.jubek.server.signals.Signal;
import app.jubek.server.signals.Signals;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Base64;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.crypto.keygen.Base64StringKeyGenerator;
import org.springframework.security.crypto.keygen.StringKeyGenerator;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Requests that are to be sent, and the answers to those that were. */
@Service
public class AgreementRequests implements AsksByMail {
    private static final Duration REMIND_AFTER = Duration.ofDays(3);
    private static final Duration LIMITED_FOR = Duration.ofHours(1);
    private static final Duration TRY_AGAIN_AFTER = Duration.ofMinutes(15);
    private static final int TOKEN_BYTES = 32;
    private static final int WRONG_CODES = 10;

    /** Without letters and digits that are easily taken for another. */
    private static final String LETTERS = "ABCDEFGHJKMNPQRSTUVWXYZ23456789";

    private final AgreementRepository agreements;
    private final AgreementRequestRepository requests;
    private final StoredAgreements stored;
    private final Mailboxes mailboxes;
    private final Signals signals;
    private final Clock clock;
    private final StringKeyGenerator tokens =
            new Base64StringKeyGenerator(Base64.getUrlEncoder().withoutPadding(), TOKEN_BYTES);
    private final SecureRandom random = new SecureRandom();

    AgreementRequests(
            AgreementRepository agreements,
            AgreementRequestRepository requests,
            StoredAgreements stored,
            Mailboxes mailboxes,
            Signals signals,
            Clock clock) {
        this.signals = signals;
        this.agreements = agreements;
        this.requests = requests;
        this.stored = stored;
        this.mailboxes = mailboxes;
        this.clock = clock;
    }

    /**
     * A request to be sent now. It counts as sent from here on, so that it can't be sent twice.
     *
     * @param why what it is about
     */
    public record ToSend(
            UUID id,
            StoredAgreements.Destination destination,
            Cleared cleared,
            String token,
            String code,
            Instant until,
            AgreementRequest.Why why) {}

    /** The next one that is due. One that reaches a limit waits. */
    @Transactional
    public Optional<ToSend> next() {
        Instant now = clock.instant();
        for (Optional<UUID> due = agreements.nextToAsk(now); due.isPresent(); due = agreements.nextToAsk(now)) {
            AgreementEntity agreement = agreements.findById(due.get()).orElseThrow();
            Optional<ToSend> request = begun(agreement, now);
            agreements.saveAndFlush(agreement);
            if (request.isPresent()) {
                return request;
            }
        }
        return Optional.empty();
    }

    private Optional<ToSend> begun(AgreementEntity agreement, Instant now) {
        Optional<AgreementRequest.Why> why = agreement.requestWhy();
        if (why.isEmpty()) {
            agreement.askNext(Optional.empty());
            return Optional.empty();
        }
        Outgoing.Request request = new Outgoing.Request(
                agreement.address(),
                Optional.of(mailboxes.find(agreement.mailbox()).own().identity()),
                why.get() == AgreementRequest.Why.TOLD);
        Optional<Cleared> cleared = Clearance.look(request, before(agreement, now));
        if (cleared.isEmpty()) {
            agreement.askNext(Optional.of(now.plus(LIMITED_FOR)));
            return Optional.empty();
        }
        agreement.askNext(next(agreement, why.get(), now));
        agreement.asked();
        String token = tokens.generateKey();
        String code = code();
        AgreementRequestEntity sent =
                new AgreementRequestEntity(UUID.randomUUID(), agreement, digest(token), digest(code), now);
        requests.saveAndFlush(sent);
        return Optional.of(new ToSend(
                sent.id(),
                stored.find(agreement.mailbox(), agreement.id()),
                cleared.get(),
                token,
                code,
                sent.until(),
                why.get()));
    }

    private static Optional<Instant> next(AgreementEntity agreement, AgreementRequest.Why why, Instant now) {
        return switch (why) {
            case FIRST -> Optional.of(now.plus(REMIND_AFTER)).filter(when -> agreement.requests() == 0);
            case AGAIN, STOP -> agreement.renewedAt().filter(now::isBefore);
            case TOLD -> Optional.empty();
        };
    }

    private Clearance.Requests before(AgreementEntity agreement, Instant now) {
        Instant since = now.minus(Duration.ofDays(1));
        return new Clearance.Requests(
                requests.countByAddressKeyAndSentAtAfter(agreement.key(), since),
                requests.countByMailboxIdAndSentAtAfter(agreement.mailbox(), since),
                requests.countByAskedByAndSentAtAfter(agreement.askedBy(), since));
    }

    /** There is nothing to ask for, or to tell, any more. Who was not told is as unknown as before. */
    @Transactional
    public void takeBack(ToSend request) {
        requests.deleteById(request.id());
        AgreementEntity agreement =
                agreements.toChange(request.destination().id()).orElseThrow();
        if (request.why() == AgreementRequest.Why.TOLD) {
            agreements.delete(agreement);
        } else {
            agreement.askNext(Optional.empty());
        }
    }

    /**
     * It did not leave.
     *
     * @param passing it may well leave later
     */
    @Transactional
    public void failed(ToSend request, Statement why, boolean passing) {
        requests.findById(request.id()).orElseThrow().failed(why);
        AgreementEntity agreement =
                agreements.toChange(request.destination().id()).orElseThrow();
        Instant now = clock.instant();
        agreement.askNext(
                passing
                        ? Optional.of(now.plus(TRY_AGAIN_AFTER))
                        : agreement.renewedAt().filter(now::isBefore));
        if (passing && request.why() == AgreementRequest.Why.STOP) {
            agreement.askToStop(now.plus(TRY_AGAIN_AFTER));
        }
    }

    /**
     * What a request's page shows.
     *
     * @param open it can be agreed to
     */
    public record Page(StoredAgreements.Destination destination, boolean open, Instant until) {}

    /**
     * @throws Refused when no request has this token
     */
    @Transactional(readOnly = true)
    public Page page(String token) {
        AgreementRequestEntity request = request(token);
        AgreementEntity agreement = agreements.findById(request.agreement()).orElseThrow();
        return new Page(
                stored.find(agreement.mailbox(), agreement.id()),
                request.isOpen(agreement, clock.instant()),
                request.until());
    }

    private AgreementRequestEntity request(String token) {
        return requests.findByToken(digest(token)).orElseThrow(Refused::notFound);
    }

    /**
     * The destination agrees or declines. It can agree once and for seven days, decline at any time, and
     * agree again after that.
     *
     * @throws Refused when no request has this token, or it is over
     */
    @Transactional
    public void answer(String token, boolean yes) {
        AgreementRequestEntity request = request(token);
        Instant now = clock.instant();
        AgreementEntity agreement = agreements.findById(request.agreement()).orElseThrow();
        if (yes && !request.isOpen(agreement, now)) {
            throw Refused.conflict("This request is over. Ask the person who sent it for a new one.", Map.of());
        }
        happened(request, agreement, yes, now);
    }

    @Override
    @Transactional(readOnly = true)
    public boolean isSent(UUID mailbox, UUID request) {
        return requests.existsByIdAndMailboxId(request, mailbox);
    }

    @Override
    @Transactional
    public void answeredByMail(UUID mailbox, AgreementAnswer answer) {
        Instant now = clock.instant();
        requests.findById(answer.request())
                .filter(request -> request.mailbox().equals(mailbox))
                .ifPresent(request -> answered(request, answer, now));
    }

    private void answered(AgreementRequestEntity request, AgreementAnswer answer, Instant now) {
        AgreementEntity agreement = agreements.findById(request.agreement()).orElseThrow();
        boolean open = !answer.agrees() || request.isOpen(agreement, now);
        if (open && agreement.address().sameAs(answer.from())) {
            happened(request, agreement, answer.agrees(), now);
            signals.sendSoon(new Signal(Signal.Topic.MAILBOX, agreement.mailbox()));
        }
    }

    private void happened(AgreementRequestEntity request, AgreementEntity agreement, boolean agrees, Instant now) {
        if (agrees) {
            request.use(now);
        }
        stored.happened(
                agreement.id(),
                agrees ? Agreement.Event.AGREED : Agreement.Event.DECLINED,
                agreement.address().address());
    }

    /**
     * The destination has told a person its code.
     *
     * @throws Refused when it is not the code of the last request, or that is over
     */
    @Transactional(noRollbackFor = Refused.class)
    public void answerByCode(UUID id, String code, String who) {
        AgreementEntity agreement = agreements.toChange(id).orElseThrow(Refused::notFound);
        if (agreement.wrongCodes() >= WRONG_CODES) {
            throw Refused.invalid("Too many wrong codes. Ask again, so that a new code is sent.", List.of());
        }
        Instant now = clock.instant();
        Optional<AgreementRequestEntity> request = requests.latest(List.of(id)).stream()
                .filter(sent -> sent.hasCode(digest(plain(code))) && sent.isOpen(agreement, now))
                .findFirst();
        if (request.isEmpty()) {
            agreement.codeWasWrong();
            throw Refused.invalid(
                    "That is not the code of the last request, or it is older than seven days.", List.of());
        }
        request.get().use(now);
        stored.happened(id, Agreement.Event.AGREED, who);
    }

    private String code() {
        StringBuilder code = new StringBuilder();
        random.ints(8, 0, LETTERS.length()).forEach(at -> code.append(LETTERS.charAt(at)));
        return code.toString();
    }

    private static String plain(String code) {
        StringBuilder plain = new StringBuilder();
        code.toUpperCase(Locale.ROOT)
                .chars()
                .filter(letter -> LETTERS.indexOf(letter) >= 0)
                .forEach(plain::appendCodePoint);
        return plain.toString();
    }

    private static String digest(String secret) {
        return Sha256.hex(secret, Sha256.BYTES);
    }
}
