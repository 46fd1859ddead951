package app.jubek.formats.sieve;

import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Everything;
import app.jubek.core.criteria.MessagePart;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.criteria.NumberCriterion;
import app.jubek.core.criteria.PresenceCriterion;
import app.jubek.core.criteria.Relation;
import app.jubek.core.view.DatePieces;
import app.jubek.formats.sieve.syntax.Arguments;
import app.jubek.formats.sieve.syntax.Script;
import app.jubek.formats.sieve.syntax.SieveSyntaxException;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;

/** Tests of a script as criteria. */
final class ReadTests {
    private static final Map<String, MessagePart.Piece> PIECES = Map.of(
            "all", MessagePart.Piece.ALL,
            "localpart", MessagePart.Piece.LOCAL,
            "domain", MessagePart.Piece.DOMAIN,
            "user", MessagePart.Piece.USER,
            "detail", MessagePart.Piece.DETAIL);

    private ReadTests() {}

    /**
     * @throws Comparing.Unsupported when the engine can't say it
     */
    static Criterion read(Script.Test test) {
        Arguments arguments = Arguments.of(test.arguments(), test.place());
        return switch (test.name()) {
            case "true" -> new Everything();
            case "false" -> new Nothing();
            case "not" -> Conditions.not(read(only(test)));
            case "allof" -> Conditions.all(inner(test));
            case "anyof" -> Conditions.any(inner(test));
            case "header" -> header(arguments);
            case "address" -> address(arguments);
            case "envelope" -> envelope(arguments);
            case "exists" ->
                Conditions.all(arguments.list(0, "a list of fields").stream()
                        .<Criterion>map(name -> new PresenceCriterion(MessagePart.field(name), false))
                        .toList());
            case "size" -> size(arguments);
            case "body" -> body(arguments);
            case "date" -> date(arguments);
            case "currentdate" -> currentDate(arguments);
            default -> throw new Comparing.Unsupported("the test \"" + test.name() + "\" is not known here");
        };
    }

    private static Script.Test only(Script.Test test) {
        if (test.tests().size() != 1) {
            throw new SieveSyntaxException(test.place(), "\"not\" wants one test");
        }
        return test.tests().get(0);
    }

    private static List<Criterion> inner(Script.Test test) {
        if (test.tests().isEmpty()) {
            throw new SieveSyntaxException(test.place(), "\"" + test.name() + "\" wants tests in parentheses");
        }
        return test.tests().stream().map(ReadTests::read).toList();
    }

    private static Criterion header(Arguments arguments) {
        List<MessagePart> parts = arguments.list(0, "a list of fields").stream()
                .map(MessagePart::field)
                .toList();
        return new Comparing(arguments).anyOf(parts, arguments.list(1, "a list of keys"));
    }

    private static MessagePart.Piece piece(Arguments arguments) {
        return PIECES.entrySet().stream()
                .filter(e -> arguments.has(e.getKey()))
                .map(Map.Entry::getValue)
                .findFirst()
                .orElse(MessagePart.Piece.ALL);
    }

    private static Criterion address(Arguments arguments) {
        MessagePart.Piece piece = piece(arguments);
        List<MessagePart> parts = arguments.list(0, "a list of fields").stream()
                .map(name -> MessagePart.address(name, piece))
                .toList();
        return new Comparing(arguments).anyOf(parts, arguments.list(1, "a list of keys"));
    }

    private static Criterion envelope(Arguments arguments) {
        MessagePart.Piece piece = piece(arguments);
        List<MessagePart> parts = arguments.list(0, "a list of envelope parts").stream()
                .map(name -> switch (name.toLowerCase(Locale.ROOT)) {
                    case "from" -> new MessagePart(MessagePart.Kind.RETURN_PATH, "", piece);
                    case "to" -> new MessagePart(MessagePart.Kind.DELIVERED_TO, "", piece);
                    default -> throw new Comparing.Unsupported("the envelope part \"" + name + "\" is not known here");
                })
                .toList();
        return new Comparing(arguments).anyOf(parts, arguments.list(1, "a list of keys"));
    }

    private static Criterion size(Arguments arguments) {
        String tag = arguments.has("over") ? "over" : "under";
        long limit = arguments
                .number(tag)
                .orElseThrow(() ->
                        new SieveSyntaxException(arguments.place(), "\"size\" wants :over or :under, and a number"));
        Relation relation = tag.equals("over") ? Relation.OVER : Relation.UNDER;
        return new NumberCriterion(NumberCriterion.Measure.SIZE, List.of(), relation, limit, false);
    }

    private static Criterion body(Arguments arguments) {
        if (arguments.has("raw") || arguments.has("content")) {
            throw new Comparing.Unsupported("of a body only its text (:text) can be looked at");
        }
        return new Comparing(arguments)
                .anyOf(List.of(MessagePart.of(MessagePart.Kind.TEXT)), arguments.list(0, "a list of keys"));
    }

    private static Criterion date(Arguments arguments) {
        String header = arguments.one(0, "a field").toLowerCase(Locale.ROOT);
        if (!header.equals("received") && !header.equals("date")) {
            throw new Comparing.Unsupported("a date is read from the fields Date and Received only");
        }
        if (arguments.has("index") || arguments.has("last")) {
            throw new Comparing.Unsupported(":index is not known here");
        }
        return pieces(header, arguments.one(1, "a piece of the date"), arguments, arguments.list(2, "a list of keys"));
    }

    private static Criterion currentDate(Arguments arguments) {
        return pieces("now", arguments.one(0, "a piece of the date"), arguments, arguments.list(1, "a list of keys"));
    }

    private static Criterion pieces(String field, String piece, Arguments arguments, List<String> keys) {
        String zone = arguments.has("originalzone")
                ? DatePieces.ORIGINAL
                : arguments.string("zone").orElse("");
        String asked = field + "/" + piece.toLowerCase(Locale.ROOT) + "/" + zone;
        try {
            MessagePart part = new MessagePart(MessagePart.Kind.DATE, DatePieces.checked(asked), MessagePart.Piece.ALL);
            return new Comparing(arguments).anyOf(List.of(part), keys);
        } catch (IllegalArgumentException refused) {
            throw new Comparing.Unsupported(String.valueOf(refused.getMessage()));
        }
    }

    /** All tests inside, the test itself among them. */
    static Stream<Script.Test> all(Script.Test test) {
        return Stream.concat(Stream.of(test), test.tests().stream().flatMap(ReadTests::all));
    }
}
