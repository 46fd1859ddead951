/**
 * Messages written on the spot, by a person or made up so that a rule picks them.
 * Entry points: {@link app.jubek.core.sample.SampleMessage}, {@link app.jubek.core.sample.MadeUp}.
 */
@NullMarked
package app.jubek.core.sample;

import org.jspecify.annotations.NullMarked;
