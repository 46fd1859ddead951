/**
 * What is amiss in a rule book, each finding with its cause, an example and a remedy.
 * Entry point: {@link app.jubek.core.review.Review}.
 */
@NullMarked
package app.jubek.core.review;

import org.jspecify.annotations.NullMarked;
