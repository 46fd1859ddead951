/**
 * Notices that rules show in the browser.
 * Entry point: {@link app.jubek.server.notice.Notices}.
 */
@NullMarked
package app.jubek.server.notice;

import org.jspecify.annotations.NullMarked;
