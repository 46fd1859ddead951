package app.jubek.server.watching;

import app.jubek.core.plan.Advice;
import app.jubek.core.plan.Failure;
import app.jubek.core.plan.Trouble;
import app.jubek.server.mailbox.MailServer;
import app.jubek.server.mailbox.ServerTrouble;
import app.jubek.server.mailbox.Watching;
import jakarta.mail.AuthenticationFailedException;
import jakarta.mail.MessagingException;
import java.io.IOException;
import java.util.List;
import org.springframework.dao.DataAccessException;
import org.springframework.transaction.TransactionException;

/** Why a mailbox is not watched, and what can be done. */
record WatchFault(Watching state, Trouble trouble) {
    static WatchFault of(Throwable broken, MailServer server) {
        List<Throwable> causes = ServerTrouble.causes(broken);
        if (ServerTrouble.has(causes, DataAccessException.class)
                || ServerTrouble.has(causes, TransactionException.class)) {
            return new WatchFault(Watching.DATABASE_AWAY, Trouble.of(Failure.DATABASE_AWAY.with(), Advice.MAIL_WAITS));
        }
        if (ServerTrouble.has(causes, AuthenticationFailedException.class)) {
            return new WatchFault(
                    Watching.SIGN_IN_REFUSED, Trouble.of(Failure.SIGN_IN_REFUSED.with(), Advice.CORRECT_SIGN_IN));
        }
        if (!ServerTrouble.has(causes, MessagingException.class) && !ServerTrouble.has(causes, IOException.class)) {
            return new WatchFault(Watching.FAILED, Trouble.of(Failure.WATCHING_BROKE.with(), Advice.MAIL_WAITS));
        }
        return new WatchFault(Watching.UNREACHABLE, ServerTrouble.of(broken, server));
    }
}
