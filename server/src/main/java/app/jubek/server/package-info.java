/** The Jubek server: one package for each feature. */
@NullMarked
package app.jubek.server;

import org.jspecify.annotations.NullMarked;
