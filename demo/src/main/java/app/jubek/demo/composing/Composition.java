package app.jubek.demo.composing;

import java.text.BreakIterator;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;

/**
 * A reply put together: the reply's first paragraph, what the message asks, what the instruction says in quotation marks, the
 * rest of the reply, and one sentence of its own that nothing bears out.
 */
final class Composition {
    private static final int MOST_QUESTIONS = 3;

    private final JsonNode asked;
    private final ArrayNode sentences = JsonNodeFactory.instance.arrayNode();

    Composition(JsonNode asked) {
        this.asked = asked;
    }

    ArrayNode sentences() {
        List<String> reply = paragraphs(asked.path("reply").asString(""));
        reply.stream().limit(1).forEach(this::fromReply);
        String begins = "paragraph";
        for (String question : questions(asked.path("message").path("text").asString(""))) {
            add("You ask: “" + question + "”", begins, "message", question);
            begins = "line";
        }
        begins = "paragraph";
        for (String told : quoted(asked.path("instruction").asString(""))) {
            add(told, begins, "instruction", told);
            begins = "line";
        }
        sentences
                .addObject()
                .put("text", "We are sure that you will like it here.")
                .put("begins", begins);
        reply.stream().skip(1).forEach(this::fromReply);
        return sentences;
    }

    private void fromReply(String paragraph) {
        String begins = "paragraph";
        for (String line : paragraph.split("\n")) {
            for (String sentence : sentencesOf(line)) {
                add(sentence, begins, "reply", sentence);
                begins = "after space";
            }
            begins = "line";
        }
    }

    private void add(String text, String begins, String from, String quote) {
        sentences
                .addObject()
                .put("text", text)
                .put("begins", begins)
                .put("from", from)
                .put("quote", quote);
    }

    private static List<String> paragraphs(String text) {
        return java.util.Arrays.stream(text.split("\n\n"))
                .map(String::strip)
                .filter(paragraph -> !paragraph.isEmpty())
                .toList();
    }

    private static List<String> questions(String text) {
        return sentencesOf(text).stream()
                .filter(sentence -> sentence.endsWith("?"))
                .limit(MOST_QUESTIONS)
                .toList();
    }

    private static List<String> sentencesOf(String text) {
        BreakIterator ends = BreakIterator.getSentenceInstance(Locale.ENGLISH);
        ends.setText(text);
        List<String> all = new ArrayList<>();
        int from = ends.first();
        for (int to = ends.next(); to != BreakIterator.DONE; to = ends.next()) {
            String sentence = text.substring(from, to).replace('\n', ' ').strip();
            if (!sentence.isEmpty()) {
                all.add(sentence);
            }
            from = to;
        }
        return all;
    }

    /** What stands between “ and ”. */
    private static List<String> quoted(String text) {
        List<String> all = new ArrayList<>();
        int from = text.indexOf('“');
        for (int to = text.indexOf('”', from + 1); from >= 0 && to > from; to = text.indexOf('”', from + 1)) {
            all.add(text.substring(from + 1, to));
            from = text.indexOf('“', to);
        }
        return all;
    }
}
