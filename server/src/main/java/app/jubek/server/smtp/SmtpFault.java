package app.jubek.server.smtp;

import app.jubek.core.plan.Advice;
import app.jubek.core.plan.Trouble;
import app.jubek.core.wording.Statement;
import app.jubek.server.mailbox.MailServer;
import app.jubek.server.mailbox.ServerTrouble;
import java.io.IOException;
import java.util.Optional;

/** Mail that was not handed over. */
public class SmtpFault extends Exception {
    private static final long serialVersionUID = 1L;

    private final Kind kind;
    private final transient Trouble trouble;

    /** What may be concluded. */
    public enum Kind {
        /** Certainly not taken; later it may be. */
        TEMPORARY,
        /** Certainly not taken, and it never will be. */
        PERMANENT,
        /** The connection broke after the final dot: nobody can know. */
        UNKNOWN
    }

    SmtpFault(Kind kind, Trouble trouble) {
        super(trouble.cause().code());
        this.kind = kind;
        this.trouble = trouble;
    }

    /** Certainly not taken, and never will be; but a forward, which is a new message, may be. */
    static SmtpFault unlessForwarded(Statement cause) {
        return new SmtpFault(Kind.PERMANENT, Trouble.of(cause, Advice.FORWARD_INSTEAD));
    }

    /** Hands something to a mail server. */
    @FunctionalInterface
    public interface Handing {
        void over() throws IOException, SmtpFault;
    }

    /** Why a mail server did not take something; empty when it did. */
    public static Optional<Statement> causeOf(Handing handing, MailServer server) {
        try {
            handing.over();
            return Optional.empty();
        } catch (IOException broken) {
            return Optional.of(ServerTrouble.of(broken, server).cause());
        } catch (SmtpFault refused) {
            return Optional.of(refused.trouble().cause());
        }
    }

    public Kind kind() {
        return kind;
    }

    public Trouble trouble() {
        return trouble;
    }
}
