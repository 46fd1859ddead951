/**
 * Replies that a composing service writes and a person approves, and the trial of an instruction on past mail.
 * Entry point: {@link app.jubek.server.composing.ComposedReplies}. Off unless a service is set up.
 */
@NullMarked
package app.jubek.server.composing;

import org.jspecify.annotations.NullMarked;
