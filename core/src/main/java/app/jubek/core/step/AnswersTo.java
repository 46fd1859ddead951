package app.jubek.core.step;

import app.jubek.core.address.MailAddress;
import app.jubek.core.matching.Captures;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.message.Role;
import app.jubek.core.text.Pieces;
import app.jubek.core.wording.Code;
import app.jubek.core.wording.Statement;
import java.util.List;
import java.util.Optional;

/** Where an answer goes. The return path unless a rule says otherwise (RFC 3834 §4, RFC 5230 §4.2). */
public sealed interface AnswersTo {
    /** Empty where a message has no such address, or more than one. */
    Optional<MailAddress> in(ReadMessage message);

    /** As it reads after "goes to". */
    Statement statement();

    /** An address that stands in the header of the message. */
    enum Header implements AnswersTo, Code {
        RETURN_PATH {
            @Override
            public Optional<MailAddress> in(ReadMessage message) {
                return message.returnPath().address();
            }
        },
        FROM {
            @Override
            public Optional<MailAddress> in(ReadMessage message) {
                return single(message.in(Role.FROM));
            }
        },
        REPLY_TO {
            @Override
            public Optional<MailAddress> in(ReadMessage message) {
                return message.in(Role.REPLY_TO).isEmpty() ? FROM.in(message) : single(message.in(Role.REPLY_TO));
            }
        };

        @Override
        public String id() {
            return "ANSWERS_TO_" + name();
        }

        @Override
        public Statement statement() {
            return with();
        }

        private static Optional<MailAddress> single(List<MailAddress> all) {
            return all.stream().findFirst().filter(only -> all.size() == 1);
        }
    }

    /**
     * The address that a pattern finds in the text, of mail that a web form or a system sends for somebody; where it finds
     * none, the one in Reply-To.
     *
     * @param pattern in RE2 syntax; its first group is the address, or all it finds
     * @param forms senders whose mail may be answered although a machine wrote it; nobody else's is
     */
    record InText(String pattern, List<MailAddress> forms) implements AnswersTo {
        /** What most web forms write in front of the address (common practice). */
        public static final String USUAL =
                "(?:e-?mail|address|from)[^:\\n]{0,20}:\\s*<?([^\\s<>()\\[\\],;:]+@[^\\s<>()\\[\\],;:]+)";

        /**
         * @throws IllegalArgumentException when the pattern is none, or no sender is named
         */
        public InText {
            Captures.of(pattern);
            forms = List.copyOf(forms);
            if (forms.isEmpty()) {
                throw new IllegalArgumentException(
                        "name the sender of the form whose mail may be answered at the address in its text");
            }
        }

        public boolean isForm(ReadMessage message) {
            List<MailAddress> from = message.in(Role.FROM);
            return from.size() == 1 && forms.stream().anyMatch(from.get(0)::sameAs);
        }

        @Override
        public Optional<MailAddress> in(ReadMessage message) {
            if (!isForm(message)) {
                return Optional.empty();
            }
            Captures captures = Captures.of(pattern);
            List<MailAddress> found = message.texts().stream()
                    .flatMap(text -> captures.all(text).stream())
                    .flatMap(text ->
                            MailAddress.found(Pieces.withoutEnd(text, sign -> sign == '.' || sign == '>')).stream())
                    .toList();
            if (found.isEmpty()) {
                return Header.single(message.in(Role.REPLY_TO))
                        .filter(to -> forms.stream().noneMatch(to::sameAs));
            }
            return Optional.of(found.get(0)).filter(first -> found.stream().allMatch(first::sameAs));
        }

        @Override
        public Statement statement() {
            return StepPhrase.ADDRESS_IN_TEXT.with();
        }
    }
}
