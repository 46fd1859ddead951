/**
 * Who changed which setting of a mailbox, and when. Entry point: {@link app.jubek.server.setting.SettingChanges}.
 */
@NullMarked
package app.jubek.server.setting;

import org.jspecify.annotations.NullMarked;
