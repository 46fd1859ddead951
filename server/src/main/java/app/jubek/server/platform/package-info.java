/**
 * What every feature stands on: security, problem responses, clock, secrets. Imports no feature.
 */
@NullMarked
package app.jubek.server.platform;

import org.jspecify.annotations.NullMarked;
