/**
 * How the server speaks HTTP: JSON, problem details, limits, the page and the API's description. It knows no feature.
 */
@NullMarked
package app.jubek.server.http;

import org.jspecify.annotations.NullMarked;
