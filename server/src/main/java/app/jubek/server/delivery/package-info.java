/**
 * The threads that carry out what is due in the outbox.
 * Entry point: {@link app.jubek.server.delivery.DeliveryService}.
 */
@NullMarked
package app.jubek.server.delivery;

import org.jspecify.annotations.NullMarked;
