/**
 * Why a message is picked or not: where tests matched, which test is to blame, what was nearly met.
 * Entry points: {@link app.jubek.core.explain.Marks}, {@link app.jubek.core.explain.NearMiss}.
 */
@NullMarked
package app.jubek.core.explain;

import org.jspecify.annotations.NullMarked;
