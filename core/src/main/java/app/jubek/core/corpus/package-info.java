/**
 * A mailbox's past mail, folded, and the set of messages that each value hits.
 * Entry point: {@link app.jubek.core.corpus.Corpus}.
 */
@NullMarked
package app.jubek.core.corpus;

import org.jspecify.annotations.NullMarked;
