/**
 * Who we are: the addresses and domains of a mailbox. Entry point: {@link app.jubek.core.people.OwnSide}.
 */
@NullMarked
package app.jubek.core.people;

import org.jspecify.annotations.NullMarked;
