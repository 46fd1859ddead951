/**
 * Rule books as Sieve (RFC 5228) and Sieve as rule books. What can't be carried exactly is listed, never dropped in silence.
 * Entry points: {@link app.jubek.formats.sieve.SieveReading} and {@link app.jubek.formats.sieve.SieveWriting}.
 */
@NullMarked
package app.jubek.formats.sieve;

import org.jspecify.annotations.NullMarked;
