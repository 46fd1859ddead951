package app.jubek.core.step;

import app.jubek.core.address.MailAddress;
import app.jubek.core.template.TemplateId;
import java.util.Optional;

/**
 * What a forward puts around the original.
 *
 * @param note stands above the original; may be empty
 * @param template whose text is the note, instead of one written here
 * @param subject how it is headed
 * @param attached the whole original goes along as an attached message, rather than inline
 * @param from the own address it is written as; the mailbox's identity where it is empty
 * @param answers where an answer of the recipient goes
 * @param release when it goes out
 */
public record ForwardOptions(
        String note,
        Optional<TemplateId> template,
        Heading subject,
        boolean attached,
        Optional<MailAddress> from,
        AnswersGo answers,
        Release release) {
    public ForwardOptions {
        if (template.isPresent() && !note.isBlank()) {
            throw new IllegalArgumentException("a note is written here or taken from a template, not both");
        }
    }

    public static ForwardOptions note(String note) {
        return new ForwardOptions(
                note,
                Optional.empty(),
                Heading.PRESET,
                false,
                Optional.empty(),
                AnswersGo.TO_US,
                Release.Plain.AT_ONCE);
    }

    /** The same, going out at another time. */
    public ForwardOptions released(Release when) {
        return new ForwardOptions(note, template, subject, attached, from, answers, when);
    }

    /** Where an answer to the forward goes. */
    public enum AnswersGo {
        TO_US,
        TO_SENDER,
        TO_BOTH
    }

    /**
     * The subject of a forward.
     *
     * @param text in front of the original subject, or instead of it
     */
    public record Heading(String text, boolean replaces) {
        /** Common practice. */
        public static final Heading PRESET = new Heading("Fwd: ", false);

        public Heading {
            if (replaces && text.isBlank()) {
                throw new IllegalArgumentException("a new subject needs words");
            }
            if (text.lines().count() > 1) {
                throw new IllegalArgumentException("a subject is one line");
            }
        }

        public String of(String subject) {
            String gap = text.isBlank() || text.endsWith(" ") ? "" : " ";
            return replaces ? text : text + gap + subject;
        }
    }
}
