package app.jubek.core.plan;

import app.jubek.core.address.MailAddress;
import app.jubek.core.template.Letter;

/**
 * What goes out, and to whom.
 *
 * @param letter the words of an answer, or the note of a forward
 * @param from the identity it is written as
 * @param isCopy whether it is a colleague's copy of an answer
 */
public record Sending(Letter letter, MailAddress to, MailAddress from, boolean isCopy) {}
