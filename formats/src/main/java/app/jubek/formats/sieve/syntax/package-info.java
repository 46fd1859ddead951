/**
 * What a Sieve script is written in (RFC 5228 §2, §8): words, commands, tests and their arguments, not yet what they mean.
 * Entry point: {@link app.jubek.formats.sieve.syntax.Parser}.
 */
@NullMarked
package app.jubek.formats.sieve.syntax;

import org.jspecify.annotations.NullMarked;
