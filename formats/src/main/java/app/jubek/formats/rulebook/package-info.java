/**
 * The rule book as JSON: one versioned format for the database, the API and files exchanged. The schema is
 * {@code docs/formats/rule-book-2.schema.json}. Entry point: {@link app.jubek.formats.rulebook.RuleBookJson}.
 */
@NullMarked
package app.jubek.formats.rulebook;

import org.jspecify.annotations.NullMarked;
