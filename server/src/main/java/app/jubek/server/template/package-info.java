/**
 * Prepared answers of a mailbox, all versions kept. {@link app.jubek.server.template.Templates} is the entry point.
 */
@NullMarked
package app.jubek.server.template;

import org.jspecify.annotations.NullMarked;
