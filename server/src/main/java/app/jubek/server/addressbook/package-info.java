/**
 * The people and groups of a mailbox. {@link app.jubek.server.addressbook.AddressBooks} is the entry point.
 */
@NullMarked
package app.jubek.server.addressbook;

import org.jspecify.annotations.NullMarked;
