/** People and groups as vCards (RFC 6350). Entry point: {@link app.jubek.formats.vcard.Cards}. */
@NullMarked
package app.jubek.formats.vcard;

import org.jspecify.annotations.NullMarked;
