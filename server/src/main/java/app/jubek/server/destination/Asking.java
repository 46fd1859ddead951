package app.jubek.server.destination;

import app.jubek.core.address.MailAddress;
import app.jubek.core.message.ByteSource;
import app.jubek.core.outgoing.AgreementRequest;
import app.jubek.core.people.AgreementAnswer;
import app.jubek.server.agreement.AgreementRequests;
import app.jubek.server.agreement.HeldSteps;
import app.jubek.server.agreement.StoredAgreements;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.mailbox.ServerTrouble;
import app.jubek.server.platform.Border;
import app.jubek.server.platform.JubekProperties;
import app.jubek.server.platform.StandingWork;
import app.jubek.server.platform.StandingWorks;
import app.jubek.server.platform.Words;
import app.jubek.server.smtp.SmtpFault;
import app.jubek.server.smtp.SmtpSessions;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.locks.LockSupport;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.stereotype.Component;

/** Sends what asks destinations, and sees to the steps that wait for them. */
@Component
public class Asking implements DisposableBean {
    static final String PAGE = "/agree/";

    private static final Logger LOG = LoggerFactory.getLogger(Asking.class);
    private static final long PAUSE_NANOS = Duration.ofSeconds(1).toNanos();
    private static final Duration LOOK_AT_ALL = Duration.ofMinutes(5);

    private final Destinations destinations;
    private final StoredAgreements agreements;
    private final AgreementRequests requests;
    private final HeldSteps held;
    private final Mailboxes mailboxes;
    private final SmtpSessions sessions;
    private final JubekProperties properties;
    private final Words words;
    private final StandingWorks standing;
    private final Clock clock;
    private Optional<StandingWork> work = Optional.empty();
    private volatile boolean stopped;

    Asking(
            Destinations destinations,
            StoredAgreements agreements,
            AgreementRequests requests,
            HeldSteps held,
            Mailboxes mailboxes,
            SmtpSessions sessions,
            JubekProperties properties,
            Words words,
            StandingWorks standing,
            Clock clock) {
        this.destinations = destinations;
        this.agreements = agreements;
        this.requests = requests;
        this.held = held;
        this.mailboxes = mailboxes;
        this.sessions = sessions;
        this.properties = properties;
        this.words = words;
        this.standing = standing;
        this.clock = clock;
    }

    public void start() {
        work = Optional.of(standing.start("agreements", this::goOn));
    }

    private void goOn() {
        long lookedAtAll = System.nanoTime() - LOOK_AT_ALL.toNanos();
        while (!stopped) {
            if (System.nanoTime() - lookedAtAll >= LOOK_AT_ALL.toNanos()) {
                within(destinations::askAll);
                lookedAtAll = System.nanoTime();
            }
            within(agreements::lapse);
            within(held::settle);
            within(this::sendAll);
            if (!stopped) {
                LockSupport.parkNanos(PAUSE_NANOS);
            }
        }
    }

    /** Trouble with one of them does not keep the others from going on. */
    private static void within(Runnable part) {
        Border.around(part::run).ifPresent(failure -> LOG.warn("agreements: {}", failure.words()));
    }

    private void sendAll() {
        Optional<AgreementRequests.ToSend> next = requests.next();
        while (next.isPresent() && !stopped) {
            AgreementRequests.ToSend request = next.get();
            Border.around(() -> send(request))
                    .ifPresent(failure -> LOG.error("a request was not sent: {}", failure.trace()));
            next = requests.next();
        }
    }

    private void send(AgreementRequests.ToSend request) {
        StoredAgreements.Destination to = request.destination();
        Mailbox mailbox = mailboxes.find(to.mailbox());
        boolean tells = request.why() == AgreementRequest.Why.TOLD;
        List<AgreementRequest.Mail> mail = destinations.rules(mailbox.id(), to.address()).stream()
                .filter(rule -> rule.on() || !tells)
                .map(rule -> new AgreementRequest.Mail(words.of(rule.mail()), destinations.aWeek(mailbox.id(), rule)))
                .toList();
        if (mail.isEmpty()) {
            requests.takeBack(request);
            return;
        }
        AgreementRequest message = new AgreementRequest(
                mailbox.own().identity(),
                to.address(),
                to.askedBy(),
                mail,
                properties.web().publicPage(PAGE + request.token()),
                request.code().substring(0, 4) + "-" + request.code().substring(4),
                request.until().atZone(mailbox.zone()),
                request.why());
        String messageId = AgreementAnswer.messageId(request.id(), mailbox.own().identity());
        hand(request, mailbox, message.bytes(messageId, clock.instant().atZone(mailbox.zone())));
        destinations.tell(to);
    }

    private void hand(AgreementRequests.ToSend request, Mailbox mailbox, byte[] bytes) {
        String sender = request.cleared()
                .outgoing()
                .envelopeSender()
                .map(MailAddress::address)
                .orElse("");
        String recipient = request.cleared().outgoing().recipient().address();
        try {
            sessions.send(mailbox, sender, recipient, ByteSource.of(bytes));
        } catch (IOException broken) {
            requests.failed(request, ServerTrouble.of(broken, mailbox.smtp()).cause(), true);
        } catch (SmtpFault refused) {
            boolean passing = refused.kind() != SmtpFault.Kind.PERMANENT;
            requests.failed(request, refused.trouble().cause(), passing);
        }
    }

    @Override
    public void destroy() {
        stopped = true;
        work.ifPresent(StandingWork::stop);
    }
}
