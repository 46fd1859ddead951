/**
 * The queue of steps: claiming, retrying, limits, and what a person decides about a step.
 * Entry point: {@link app.jubek.server.queue.Outbox}. It knows nothing of how messages come in.
 */
@NullMarked
package app.jubek.server.queue;

import org.jspecify.annotations.NullMarked;
