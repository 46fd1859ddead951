/**
 * Reading the bytes of a message: header fields, parts, texts. Whatever they are, something is read and what is odd is
 * noted. Entry point: {@link app.jubek.core.reading.MessageReading}.
 */
@NullMarked
package app.jubek.core.reading;

import org.jspecify.annotations.NullMarked;
