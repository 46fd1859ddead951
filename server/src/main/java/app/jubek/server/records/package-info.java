/**
 * Everything that was done. Entry point: {@link app.jubek.server.records.RecordsController}.
 */
@NullMarked
package app.jubek.server.records;

import org.jspecify.annotations.NullMarked;
