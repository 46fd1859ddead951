package app.jubek.core.message;

import app.jubek.core.address.MailAddress;
import java.util.Optional;

/** Where failures and automatic replies go (RFC 5321 §4.4): an address, the null path, or nothing known. */
public sealed interface ReturnPath {
    record To(MailAddress mailbox) implements ReturnPath {}

    record Null() implements ReturnPath {}

    record Absent() implements ReturnPath {}

    default Optional<MailAddress> address() {
        return this instanceof To to ? Optional.of(to.mailbox()) : Optional.empty();
    }
}
