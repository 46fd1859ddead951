/**
 * What would go out: forwards, redirects and replies as their recipients would see them. Nothing leaves.
 */
@NullMarked
package app.jubek.server.preview;

import org.jspecify.annotations.NullMarked;
