package app.jubek.server.mailbox;

import java.io.IOException;

/** The mail server offers no encryption, so nothing secret is sent to it. */
public final class NoEncryption extends IOException {
    private static final long serialVersionUID = 1L;

    public NoEncryption() {
        super("the mail server offers no STARTTLS");
    }
}
