/**
 * Statements as JSON, as they are stored and sent.
 * Entry point: {@link app.jubek.formats.statement.StatementJson}.
 */
@NullMarked
package app.jubek.formats.statement;

import org.jspecify.annotations.NullMarked;
