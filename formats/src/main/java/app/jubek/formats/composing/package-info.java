/**
 * What a composing service is sent and answers, as JSON: {@code docs/formats/composing.md}.
 */
@NullMarked
package app.jubek.formats.composing;

import org.jspecify.annotations.NullMarked;
