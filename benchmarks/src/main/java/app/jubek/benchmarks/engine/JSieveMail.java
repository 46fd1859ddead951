package app.jubek.benchmarks.engine;

import app.jubek.core.message.ReadMessage;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.apache.jsieve.SieveContext;
import org.apache.jsieve.mail.Action;
import org.apache.jsieve.mail.MailAdapter;

/** A message as jSieve looks at it, its fields decoded once. */
final class JSieveMail implements MailAdapter {
    private final List<String> subject;
    private final String text;
    private final List<Action> actions = new ArrayList<>();

    JSieveMail(ReadMessage message) {
        subject = List.of(message.subject());
        text = String.join("\r\n", message.texts()).toLowerCase(Locale.ROOT);
    }

    @Override
    public void setContext(SieveContext context) {
        actions.clear();
    }

    @Override
    public List<Action> getActions() {
        return actions;
    }

    @Override
    public List<String> getHeader(String name) {
        return subject;
    }

    @Override
    public List<String> getMatchingHeader(String name) {
        return subject;
    }

    @Override
    public List<String> getHeaderNames() {
        return List.of("Subject");
    }

    @Override
    public void addAction(Action action) {
        actions.add(action);
    }

    @Override
    public void executeActions() {
        // They are counted, not executed.
    }

    @Override
    public int getSize() {
        return text.length();
    }

    @Override
    public String getContentType() {
        return "text/plain";
    }

    @Override
    public boolean isInBodyText(List<String> phrases) {
        for (String phrase : phrases) {
            if (text.contains(phrase.toLowerCase(Locale.ROOT))) {
                return true;
            }
        }
        return false;
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
    public Address[] parseAddresses(String field) {
        return new Address[0];
    }
}
