/** What a decision costs, beside other ways to come to one. Entry point: {@link app.jubek.benchmarks.engine.EngineFigures}. */
@NullMarked
package app.jubek.benchmarks.engine;

import org.jspecify.annotations.NullMarked;
