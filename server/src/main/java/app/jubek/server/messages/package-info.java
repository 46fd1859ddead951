/**
 * Messages as they are opened: their text, their decision, and what was sent.
 */
@NullMarked
package app.jubek.server.messages;

import org.jspecify.annotations.NullMarked;
