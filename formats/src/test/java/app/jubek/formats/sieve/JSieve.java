package app.jubek.formats.sieve;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import org.apache.jsieve.ConfigurationManager;
import org.apache.jsieve.SieveContext;
import org.apache.jsieve.SieveFactory;
import org.apache.jsieve.mail.Action;
import org.apache.jsieve.mail.ActionDiscard;
import org.apache.jsieve.mail.ActionFileInto;
import org.apache.jsieve.mail.ActionKeep;
import org.apache.jsieve.mail.ActionRedirect;
import org.apache.jsieve.mail.MailAdapter;
import org.apache.jsieve.mail.optional.ActionVacation;

/** jSieve 0.8 (org.apache.james:apache-jsieve-core) as a second evaluator. */
final class JSieve {
    private static final SieveFactory FACTORY = factory();

    private JSieve() {}

    private static SieveFactory factory() {
        try {
            return new ConfigurationManager().build();
        } catch (Exception failed) {
            throw new IllegalStateException(failed);
        }
    }

    /** The actions in the words of {@link Deciding#outcome}. */
    static Set<String> outcome(String script, SimpleMail mail) {
        Adapter adapter = new Adapter(mail);
        try {
            FACTORY.interpret(adapter, new ByteArrayInputStream(script.getBytes(StandardCharsets.US_ASCII)));
        } catch (Exception failed) {
            throw new IllegalStateException(script, failed);
        }
        Set<String> found = new TreeSet<>();
        adapter.actions.forEach(action -> found.add(inWords(action)));
        found.remove("discarded");
        return found;
    }

    private static String inWords(Action action) {
        if (action instanceof ActionKeep) {
            return "inbox";
        }
        if (action instanceof ActionFileInto file) {
            return "filed in " + file.getDestination();
        }
        if (action instanceof ActionRedirect redirect) {
            return "redirected to " + redirect.getAddress();
        }
        if (action instanceof ActionVacation) {
            return "answered";
        }
        if (action instanceof ActionDiscard) {
            return "discarded";
        }
        throw new IllegalStateException("no such action " + action);
    }

    /** A message as both evaluators get it. */
    record SimpleMail(List<String[]> fields, String text) {
        String raw() {
            StringBuilder raw = new StringBuilder();
            fields.forEach(
                    field -> raw.append(field[0]).append(": ").append(field[1]).append("\r\n"));
            return raw.append("\r\n").append(text).toString();
        }

        List<String> values(String name) {
            return fields.stream()
                    .filter(f -> f[0].equalsIgnoreCase(name))
                    .map(f -> f[1])
                    .toList();
        }
    }

    private static final class Adapter implements MailAdapter {
        private final SimpleMail mail;
        private final List<Action> actions = new ArrayList<>();

        Adapter(SimpleMail mail) {
            this.mail = mail;
        }

        @Override
        public void setContext(SieveContext context) {
            // Nothing of it is needed here.
        }

        @Override
        public List<Action> getActions() {
            return actions;
        }

        @Override
        public List<String> getHeader(String name) {
            return mail.values(name);
        }

        @Override
        public List<String> getMatchingHeader(String name) {
            return mail.values(name);
        }

        @Override
        public List<String> getHeaderNames() {
            return mail.fields().stream().map(field -> field[0]).toList();
        }

        @Override
        public void addAction(Action action) {
            actions.add(action);
        }

        @Override
        public void executeActions() {
            // They are compared, not executed.
        }

        @Override
        public int getSize() {
            return mail.raw().length();
        }

        @Override
        public String getContentType() {
            return "text/plain";
        }

        @Override
        public boolean isInBodyText(List<String> phrases) {
            String text = mail.text().toLowerCase(Locale.ROOT);
            return phrases.stream().anyMatch(phrase -> text.contains(phrase.toLowerCase(Locale.ROOT)));
        }

        @Override
        public boolean isInBodyRaw(List<String> phrases) {
            return isInBodyText(phrases);
        }

        @Override
        public boolean isInBodyContent(List<String> types, List<String> phrases) {
            return isInBodyText(phrases);
        }

        @Override
        public MailAdapter.Address[] parseAddresses(String field) {
            return mail.values(field).stream()
                    .flatMap(value -> List.of(value.split(", ")).stream())
                    .map(value -> value.replaceAll(".*<|>.*", ""))
                    .map(Adapter::address)
                    .toArray(MailAdapter.Address[]::new);
        }

        private static MailAdapter.Address address(String plain) {
            int at = plain.indexOf('@');
            return new MailAdapter.Address() {
                @Override
                public String getLocalPart() {
                    return plain.substring(0, at);
                }

                @Override
                public String getDomain() {
                    return plain.substring(at + 1);
                }
            };
        }
    }
}
