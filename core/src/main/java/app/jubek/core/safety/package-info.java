/**
 * What keeps a machine that writes in a person's name from doing harm: the reply guard, the loop guard, and
 * the clearance without which nothing leaves. Entry points: {@link app.jubek.core.safety.ReplyGuard},
 * {@link app.jubek.core.safety.LoopGuard}, {@link app.jubek.core.safety.Clearance}.
 */
@NullMarked
package app.jubek.core.safety;

import org.jspecify.annotations.NullMarked;
