/**
 * Mail that Jubek sent itself to try something out, as it comes in again: told from other mail, so that it counts nowhere.
 * Entry point: {@link app.jubek.server.testmail.TestMail}.
 */
@NullMarked
package app.jubek.server.testmail;

import org.jspecify.annotations.NullMarked;
