/**
 * A message as tests look at it, with what is known beside it: people, the calendar, the way it came.
 * Entry point: {@link app.jubek.core.view.MessageView}.
 */
@NullMarked
package app.jubek.core.view;

import org.jspecify.annotations.NullMarked;
