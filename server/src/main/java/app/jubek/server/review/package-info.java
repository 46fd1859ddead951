/**
 * Findings on rules, explanations of decisions, and what a change of rules would change.
 */
@NullMarked
package app.jubek.server.review;

import org.jspecify.annotations.NullMarked;
