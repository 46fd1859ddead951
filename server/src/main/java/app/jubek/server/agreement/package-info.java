/**
 * What addresses outside the own domains have said to getting a mailbox's mail, with all that ever happened to it. The
 * table of allowed changes is {@link app.jubek.core.people.Agreement}.
 */
@NullMarked
package app.jubek.server.agreement;

import org.jspecify.annotations.NullMarked;
