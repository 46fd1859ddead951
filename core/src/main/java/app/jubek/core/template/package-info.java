/**
 * Prepared texts with fields that are filled from a message. {@link app.jubek.core.template.Template} is the entry
 * point. It knows nothing of rules, and nothing of how an answer is sent.
 */
@org.jspecify.annotations.NullMarked
package app.jubek.core.template;
