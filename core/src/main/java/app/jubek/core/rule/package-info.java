/**
 * Rules and their order. Entry point: {@link app.jubek.core.rule.RuleBook}.
 */
@NullMarked
package app.jubek.core.rule;

import org.jspecify.annotations.NullMarked;
