package app.jubek.formats.trial;

import app.jubek.core.trial.Expectation;
import app.jubek.formats.rulebook.Fault;
import app.jubek.formats.rulebook.FormatException;
import java.time.Instant;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** What a trial says beside its message, as JSON; docs/formats/trials.md describes it. */
public final class TrialJson {
    private static final JsonMapper MAPPER = JsonMapper.builder().build();
    private static final int VERSION = 1;
    private static final int LONGEST_NAME = 500;
    private static final int MOST = 50;

    private final JsonNode node;
    private final List<Fault> faults = new ArrayList<>();

    private TrialJson(JsonNode node) {
        this.node = node;
    }

    public static String write(WrittenTrial trial) {
        ObjectNode node = JsonNodeFactory.instance
                .objectNode()
                .put("trial", VERSION)
                .put("name", trial.name())
                .put("at", trial.at().toString())
                .put("conversation", trial.conversation());
        node.set("expect", write(trial.expectations()));
        return node.toPrettyString() + "\n";
    }

    /** The list of expectations alone. */
    public static ArrayNode write(List<Expectation> expectations) {
        ArrayNode list = JsonNodeFactory.instance.arrayNode();
        for (Expectation each : expectations) {
            ObjectNode one = list.addObject().put("what", word(each.fate()));
            if (!each.of().isEmpty()) {
                one.put("of", each.of());
            }
            one.put("must", each.must());
        }
        return list;
    }

    /**
     * @throws FormatException with everything that is wrong with it
     */
    public static WrittenTrial read(String json) {
        TrialJson reading = new TrialJson(parsed(json));
        WrittenTrial trial = reading.trial();
        reading.throwIfFaulty();
        return trial;
    }

    /** The list of expectations alone. */
    public static List<Expectation> readExpectations(String json) {
        TrialJson reading = new TrialJson(parsed(json));
        List<Expectation> all = reading.expectations(reading.node, "");
        reading.throwIfFaulty();
        return all;
    }

    private static JsonNode parsed(String json) {
        try {
            return MAPPER.readTree(json);
        } catch (JacksonException broken) {
            throw new FormatException(List.of(new Fault("", "is no JSON: " + broken.getOriginalMessage())));
        }
    }

    private void throwIfFaulty() {
        if (!faults.isEmpty()) {
            throw new FormatException(faults);
        }
    }

    private void check(boolean holds, String path, String message) {
        if (!holds) {
            faults.add(new Fault(path, message));
        }
    }

    private WrittenTrial trial() {
        check(node.path("trial").intValue(0) == VERSION, "/trial", "must be " + VERSION);
        String name = node.path("name").stringValue("");
        check(
                !name.isBlank() && name.length() <= LONGEST_NAME,
                "/name",
                "must be text of 1 to " + LONGEST_NAME + " characters");
        return new WrittenTrial(
                name,
                at(),
                node.path("conversation").booleanValue(false),
                expectations(node.path("expect"), "/expect"));
    }

    private Instant at() {
        try {
            return Instant.parse(node.path("at").stringValue(""));
        } catch (DateTimeParseException notOne) {
            check(false, "/at", "must be an instant like 2026-05-04T09:00:00Z");
            return Instant.EPOCH;
        }
    }

    private List<Expectation> expectations(JsonNode list, String path) {
        check(list.isArray() && !list.isEmpty() && list.size() <= MOST, path, "must be a list of 1 to " + MOST);
        List<Expectation> all = new ArrayList<>();
        for (int i = 0; i < Math.min(list.size(), MOST); i++) {
            expectation(list.get(i), path + "/" + i).ifPresent(all::add);
        }
        return all;
    }

    private Optional<Expectation> expectation(JsonNode one, String path) {
        String what = one.path("what").stringValue("");
        Optional<Expectation.Fate> fate = Arrays.stream(Expectation.Fate.values())
                .filter(known -> word(known).equals(what))
                .findFirst();
        String all =
                Arrays.stream(Expectation.Fate.values()).map(TrialJson::word).collect(Collectors.joining(", "));
        check(fate.isPresent(), path + "/what", "\"" + what + "\" is not known here; known are " + all);
        check(one.path("must").isBoolean(), path + "/must", "must be true or false");
        try {
            return fate.map(known -> new Expectation(
                    known, one.path("of").stringValue(""), one.path("must").booleanValue(true)));
        } catch (IllegalArgumentException refused) {
            check(false, path + "/of", String.valueOf(refused.getMessage()));
            return Optional.empty();
        }
    }

    private static String word(Expectation.Fate fate) {
        return fate.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }
}
