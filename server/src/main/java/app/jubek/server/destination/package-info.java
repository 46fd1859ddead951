/** Destinations outside: which rules use them, the requests that ask them, and the page on which they answer. */
@NullMarked
package app.jubek.server.destination;

import org.jspecify.annotations.NullMarked;
