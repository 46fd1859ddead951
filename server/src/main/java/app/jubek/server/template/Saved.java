package app.jubek.server.template;

import app.jubek.core.template.Template;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;

/**
 * A version of a template, and who saved it when.
 *
 * @param lookAgainOn when a person wants to be reminded of it
 */
public record Saved(Template template, Optional<LocalDate> lookAgainOn, Instant at, String by) {}
