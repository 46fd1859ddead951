package app.jubek.server.mailbox;

import jakarta.mail.AuthenticationFailedException;
import jakarta.mail.MessagingException;
import java.io.IOException;
import java.util.List;
import org.springframework.dao.DataAccessException;
import org.springframework.transaction.TransactionException;

/**
 * Why a mailbox is not watched, and what can be done.
 *
 * @param words in plain words, the way out included
 */
record WatchFault(Watching state, String words) {
    static WatchFault of(Throwable broken, MailServer server) {
        List<Throwable> causes = ServerTrouble.causes(broken);
        if (ServerTrouble.has(causes, DataAccessException.class)
                || ServerTrouble.has(causes, TransactionException.class)) {
            return new WatchFault(
                    Watching.DATABASE_AWAY,
                    "The database does not answer. New mail waits at the mail server until it is back.");
        }
        if (ServerTrouble.has(causes, AuthenticationFailedException.class)) {
            return new WatchFault(
                    Watching.SIGN_IN_REFUSED,
                    "The mail server refuses the name or the password. Correct them in the settings; new mail waits"
                            + " meanwhile.");
        }
        if (!ServerTrouble.has(causes, MessagingException.class) && !ServerTrouble.has(causes, IOException.class)) {
            return new WatchFault(
                    Watching.FAILED,
                    "Jubek failed while watching this mailbox and begins again by itself. New mail waits at the mail"
                            + " server meanwhile; the log has the cause.");
        }
        return new WatchFault(
                Watching.UNREACHABLE,
                ServerTrouble.words(broken, server) + " Nothing is lost: new mail waits at the mail server.");
    }
}
