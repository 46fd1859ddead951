/**
 * The bytes of messages, of what leaves and of documents, kept in parts of a mebibyte so that none need be in memory
 * whole. Each kind has its table.
 */
@NullMarked
package app.jubek.server.content;

import org.jspecify.annotations.NullMarked;
