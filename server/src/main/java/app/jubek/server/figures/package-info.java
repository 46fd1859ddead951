/**
 * What rules did, counted over all their steps.
 * Entry point: {@link app.jubek.server.figures.WorkFigures}.
 */
@NullMarked
package app.jubek.server.figures;

import org.jspecify.annotations.NullMarked;
