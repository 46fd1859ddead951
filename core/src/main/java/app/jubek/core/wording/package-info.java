/**
 * Statements: codes with arguments that are stored and compared as such, and put into words in one place per language.
 * Entry points: {@link app.jubek.core.wording.Statement} to make one, {@link app.jubek.core.wording.Wording} to read it
 * out. It knows no rule and no message.
 */
@NullMarked
package app.jubek.core.wording;

import org.jspecify.annotations.NullMarked;
