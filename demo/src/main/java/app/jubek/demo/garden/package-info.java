/**
 * The mail of Ostrel Gardens, an invented botanic garden, made from a seed. Entry point: {@link
 * app.jubek.demo.garden.GardenMail}.
 */
@NullMarked
package app.jubek.demo.garden;

import org.jspecify.annotations.NullMarked;
