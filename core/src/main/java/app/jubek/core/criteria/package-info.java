/**
 * What picks a message out: tests, groups of tests, and where they matched.
 * Entry point: {@link app.jubek.core.criteria.Criterion}. Knows nothing of rules or steps.
 */
@NullMarked
package app.jubek.core.criteria;

import org.jspecify.annotations.NullMarked;
