/**
 * What a first message leads to between the mailboxes here and those who answer them, played through beforehand with what
 * would really be sent; nothing leaves. Entry point: {@link app.jubek.core.exchange.Loops}.
 */
@NullMarked
package app.jubek.core.exchange;

import org.jspecify.annotations.NullMarked;
