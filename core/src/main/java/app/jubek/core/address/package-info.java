/**
 * Mail addresses and domains as RFC 5322 and UTS 46 mean them. Entry point: {@link app.jubek.core.address.MailAddress}.
 */
@NullMarked
package app.jubek.core.address;

import org.jspecify.annotations.NullMarked;
