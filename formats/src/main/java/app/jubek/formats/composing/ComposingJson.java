package app.jubek.formats.composing;

import app.jubek.core.composing.Brief;
import app.jubek.core.composing.ComposingTrouble;
import app.jubek.core.composing.NotComposed;
import app.jubek.core.composing.Sentence;
import app.jubek.core.composing.Source;
import app.jubek.core.text.Pieces;
import app.jubek.core.text.Unsafe;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.StreamSupport;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Version 1 of what is said between Jubek and a composing service. Members that are not named here count for nothing. */
public final class ComposingJson {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final int VERSION = 1;
    private static final int LONGEST_REASON = 200;

    private ComposingJson() {}

    public static String written(Brief brief) {
        ObjectNode asked = JsonNodeFactory.instance.objectNode().put("version", VERSION);
        asked.put("instruction", brief.instruction());
        asked.putObject("message").put("subject", brief.subject()).put("text", brief.message());
        asked.put("reply", brief.reply());
        return asked.toString();
    }

    /**
     * The sentences of an answer, as the service claims them.
     *
     * @throws NotComposed when the service declined, or its answer is none
     */
    public static List<Sentence> read(String answer) throws NotComposed {
        JsonNode said = tree(answer);
        if (said.path("declined").isString()) {
            String reason =
                    Pieces.withoutEnd(Unsafe.removed(said.path("declined").stringValue()), sign -> sign == '.');
            throw new NotComposed(
                    ComposingTrouble.DECLINED.with(reason.substring(0, Math.min(reason.length(), LONGEST_REASON))));
        }
        if (!said.path("sentences").isArray()) {
            throw new NotComposed(ComposingTrouble.NOT_UNDERSTOOD.with());
        }
        return sentences(said.path("sentences"));
    }

    private static JsonNode tree(String answer) throws NotComposed {
        try {
            return JSON.readTree(answer);
        } catch (JacksonException rubbish) {
            throw new NotComposed(ComposingTrouble.NOT_UNDERSTOOD.with());
        }
    }

    /** Of sentences that were checked: written as a service writes them. */
    public static ArrayNode written(List<Sentence> sentences) {
        ArrayNode all = JsonNodeFactory.instance.arrayNode();
        for (Sentence each : sentences) {
            ObjectNode one = all.addObject().put("text", each.text()).put("begins", word(each.begins()));
            each.source()
                    .ifPresent(source -> one.put("from", word(source.from())).put("quote", source.quote()));
        }
        return all;
    }

    public static List<Sentence> sentences(JsonNode all) {
        return StreamSupport.stream(all.spliterator(), false)
                .map(each -> new Sentence(
                        each.path("text").asString(""),
                        begins(each.path("begins").asString("")),
                        source(each)))
                .toList();
    }

    private static Optional<Source> source(JsonNode sentence) {
        String named = sentence.path("from").asString("");
        return Arrays.stream(Source.From.values())
                .filter(from -> word(from).equals(named))
                .findFirst()
                .map(from -> new Source(from, sentence.path("quote").asString("")));
    }

    private static Sentence.Begins begins(String named) {
        return Arrays.stream(Sentence.Begins.values())
                .filter(each -> word(each).equals(named))
                .findFirst()
                .orElse(Sentence.Begins.AFTER_SPACE);
    }

    private static String word(Enum<?> named) {
        return named.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }
}
