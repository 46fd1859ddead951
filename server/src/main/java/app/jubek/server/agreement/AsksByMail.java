package app.jubek.server.agreement;

import app.jubek.core.message.ReadMessage;
import app.jubek.core.people.AgreementAnswer;
import java.util.UUID;

/** Somebody who asks by mail for a yes or a no, and takes the answer by mail. */
public interface AsksByMail {
    /** Whether a mailbox sent a request. */
    boolean isSent(UUID mailbox, UUID request);

    /** What is over, or comes from another address than the one asked, changes nothing. */
    void answeredByMail(UUID mailbox, AgreementAnswer answer);

    /** A message that may be such an answer. */
    default void take(UUID mailbox, ReadMessage message) {
        AgreementAnswer.of(message).ifPresent(answer -> answeredByMail(mailbox, answer));
    }

    /** Whether a message answers a request, whatever it says. */
    default boolean isAnsweredBy(UUID mailbox, ReadMessage message) {
        return AgreementAnswer.request(message)
                .filter(request -> isSent(mailbox, request))
                .isPresent();
    }
}
