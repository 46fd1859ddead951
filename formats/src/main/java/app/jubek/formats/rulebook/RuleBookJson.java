package app.jubek.formats.rulebook;

import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.rule.Ending;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.step.Step;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Reads and writes rule books, format version 2, and version 1 when reading. Unknown members are refused; all faults are reported together. */
public final class RuleBookJson {
    /** The value of "format". */
    public static final String FORMAT = "jubek-rule-book";

    /** The value of "formatVersion" that is written. */
    public static final int FORMAT_VERSION = 2;

    private static final int OLDEST_VERSION = 1;

    private static final JsonMapper MAPPER = JsonMapper.builder().build();

    private RuleBookJson() {}

    /**
     * @throws FormatException with every fault and its path
     */
    public static RuleBook read(JsonNode document) {
        Reading at = Reading.of(VersionOne.upgraded(document));
        at.only(Set.of("format", "formatVersion", "rules", "fence", "tail"));
        at.check(FORMAT.equals(at.text("format")), "format", "must be \"" + FORMAT + "\"");
        int version = at.number("formatVersion", 0);
        at.check(
                version >= OLDEST_VERSION && version <= FORMAT_VERSION,
                "formatVersion",
                "only the versions " + OLDEST_VERSION + " to " + FORMAT_VERSION + " can be read");
        RuleBook book = at.made(
                RuleBook::empty,
                () -> new RuleBook(
                        at.list("rules", RuleReading::read),
                        at.optional("fence", CriterionJson::read).orElseGet(Nothing::new),
                        at.has("tail") ? at.list("tail", RuleReading::read) : List.of()));
        at.throwIfFaulty();
        return book;
    }

    /**
     * @throws FormatException when the text is no JSON, too
     */
    public static RuleBook read(String json) {
        try {
            return read(MAPPER.readTree(json));
        } catch (JacksonException notJson) {
            String where = notJson.getLocation() == null
                    ? ""
                    : "line " + notJson.getLocation().getLineNr() + ", column "
                            + notJson.getLocation().getColumnNr() + ": ";
            throw new FormatException(List.of(new Fault("", where + notJson.getOriginalMessage())));
        }
    }

    /** One rule, as it stands in the "rules" of a book. */
    public static Rule readRule(JsonNode rule) {
        Reading at = Reading.of(VersionOne.upgraded(rule));
        Optional<Rule> read = RuleReading.read(at);
        at.throwIfFaulty();
        return read.orElseThrow(() -> new FormatException(List.of(new Fault("", "is no rule"))));
    }

    /**
     * A rule as it is being made: steps that can't be read yet, for want of an address, say, are left out and told.
     *
     * @throws FormatException when something else of it can't be read
     */
    public static DraftRule readDraft(JsonNode rule) {
        return DraftRule.read(VersionOne.upgraded(rule));
    }

    /** One step, as it stands in the "does" of a rule. */
    public static Step readStep(String step) {
        Reading at = Reading.of(VersionOne.upgraded(MAPPER.readTree(step)));
        Optional<Step> read = StepJson.read(at);
        at.throwIfFaulty();
        return read.orElseThrow();
    }

    public static ObjectNode write(Step step) {
        return StepJson.write(step);
    }

    public static ObjectNode write(RuleBook book) {
        ObjectNode document = JsonNodeFactory.instance.objectNode();
        document.put("format", FORMAT).put("formatVersion", FORMAT_VERSION);
        if (!(book.fence() instanceof Nothing)) {
            document.set("fence", CriterionJson.write(book.fence()));
        }
        book.rules().forEach(rule -> document.withArray("rules").add(RuleWriting.write(rule)));
        document.withArray("rules");
        book.tail().forEach(rule -> document.withArray("tail").add(RuleWriting.write(rule)));
        return document;
    }

    /** A criterion, as it stands in the "picksOut" of a rule. */
    public static Criterion readCriterion(JsonNode criterion) {
        Reading at = Reading.of(VersionOne.upgraded(criterion));
        Optional<Criterion> read = CriterionJson.read(at);
        at.throwIfFaulty();
        return read.orElseThrow(() -> new FormatException(List.of(new Fault("", "is no criterion"))));
    }

    public static ObjectNode write(Criterion criterion) {
        return CriterionJson.write(criterion);
    }

    /** An ending as it is written in a rule. */
    public static String word(Ending ending) {
        return Reading.word(ending);
    }

    public static ObjectNode write(Rule rule) {
        return RuleWriting.write(rule);
    }
}
