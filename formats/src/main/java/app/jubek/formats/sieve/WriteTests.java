package app.jubek.formats.sieve;

import app.jubek.core.criteria.AddressCriterion;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Everything;
import app.jubek.core.criteria.Group;
import app.jubek.core.criteria.MessagePart;
import app.jubek.core.criteria.NumberCriterion;
import app.jubek.core.criteria.OrderCriterion;
import app.jubek.core.criteria.PresenceCriterion;
import app.jubek.core.criteria.Relation;
import app.jubek.core.criteria.SimpleCriterion;
import app.jubek.core.criteria.TextCriterion;
import app.jubek.core.matching.Comparison;
import app.jubek.core.matching.MatchType;
import app.jubek.core.text.Pieces;
import app.jubek.core.view.DatePieces;
import app.jubek.core.wording.Wording;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.stream.Collectors;

/** Criteria as tests of a script. */
final class WriteTests {
    private static final Map<Relation, String> RELATIONS =
            Comparing.RELATIONS.entrySet().stream().collect(Collectors.toMap(Map.Entry::getValue, Map.Entry::getKey));
    private static final List<String> ALL_ADDRESSES =
            List.of("from", "sender", "reply-to", "to", "cc", "bcc", "resent-to", "resent-cc", "resent-bcc");

    private final Text text;
    private final Consumer<String> note;

    /**
     * @param text asked for the extensions that tests need
     * @param note hears what is carried and not exactly so
     */
    WriteTests(Text text, Consumer<String> note) {
        this.text = text;
        this.note = note;
    }

    /**
     * @throws Comparing.Unsupported when a script can't say it
     */
    String write(Criterion criterion) {
        if (criterion instanceof Everything) {
            return "true";
        }
        if (criterion instanceof Group group) {
            String inner =
                    String.join(", ", group.criteria().stream().map(this::write).toList());
            return switch (group.how()) {
                case ALL -> "allof (" + inner + ")";
                case ANY -> "anyof (" + inner + ")";
                case NONE -> "not anyof (" + inner + ")";
            };
        }
        if (!(criterion instanceof SimpleCriterion test)) {
            return "false";
        }
        return (test.negated() ? "not " : "") + positive(test);
    }

    private String positive(SimpleCriterion test) {
        if (test instanceof AddressCriterion address) {
            return address(address);
        }
        if (test instanceof TextCriterion words) {
            return words(words);
        }
        if (test instanceof PresenceCriterion present && present.part().kind() == MessagePart.Kind.FIELD) {
            return "exists " + Text.quoted(present.part().field());
        }
        if (test instanceof NumberCriterion number) {
            return number(number);
        }
        if (test instanceof OrderCriterion order) {
            text.needs("relational");
            String how = ":value " + Text.quoted(RELATIONS.get(order.relation())) + " :comparator "
                    + Text.quoted(comparator(order.order()));
            return looking(order.part(), how, Text.list(order.values()));
        }
        throw new Comparing.Unsupported("mail " + Wording.english().of(test.statement()));
    }

    private String comparator(OrderCriterion.Order order) {
        return switch (order) {
            case NUMERIC -> {
                text.needs("comparator-i;ascii-numeric");
                yield "i;ascii-numeric";
            }
            case EXACT -> "i;octet";
            case ASCII_CASE -> "i;ascii-casemap";
        };
    }

    private String address(AddressCriterion test) {
        String values = Text.list(test.values());
        return switch (test.how()) {
            case IS -> addresses(test.part(), ":all :is", values);
            case AT_DOMAIN -> addresses(test.part(), ":domain :is", values);
            case AT_DOMAIN_OR_BELOW -> {
                String below =
                        Text.list(test.values().stream().map(v -> "*." + v).toList());
                yield "anyof (" + addresses(test.part(), ":domain :is", values) + ", "
                        + addresses(test.part(), ":domain :matches", below) + ")";
            }
        };
    }

    private String addresses(AddressCriterion.AddressField part, String how, String values) {
        return switch (part) {
            case SENDER -> "address " + how + " \"from\" " + values;
            case RECIPIENT -> "address " + how + " [\"to\", \"cc\"] " + values;
            case TO -> "address " + how + " \"to\" " + values;
            case CC -> "address " + how + " \"cc\" " + values;
            case ANY ->
                "anyof (address " + how + " " + Text.list(ALL_ADDRESSES) + " " + values + ", "
                        + envelope(how, List.of("from", "to"), values) + ")";
            case RETURN_PATH -> envelope(how, List.of("from"), values);
            case DELIVERED_TO -> envelope(how, List.of("to"), values);
        };
    }

    private String envelope(String how, List<String> parts, String values) {
        text.needs("envelope");
        return "envelope " + how + " " + Text.list(parts) + " " + values;
    }

    private String words(TextCriterion test) {
        return switch (test.part().kind()) {
            case SUBJECT_OR_TEXT ->
                "anyof (" + words(at(test, MessagePart.Kind.SUBJECT)) + ", " + words(at(test, MessagePart.Kind.TEXT))
                        + ")";
            default -> {
                noteWhatDiffers(test);
                yield looking(
                        test.part(),
                        how(test),
                        Text.list(test.values().stream()
                                .map(v -> key(test.how(), v.written()))
                                .toList()));
            }
        };
    }

    private static TextCriterion at(TextCriterion test, MessagePart.Kind kind) {
        return new TextCriterion(MessagePart.of(kind), test.values(), false);
    }

    private void noteWhatDiffers(TextCriterion test) {
        boolean folds = test.comparison().isFolding();
        boolean ascii = test.written().stream().allMatch(StandardCharsets.US_ASCII.newEncoder()::canEncode);
        if (folds && !ascii) {
            note.accept("letters beyond ASCII are compared as they are: "
                    + Wording.english().of(test.statement()));
        }
        if (test.comparison() == Comparison.WITHOUT_ACCENTS) {
            note.accept("accents count: " + Wording.english().of(test.statement()));
        }
        boolean spaced = test.written().stream().anyMatch(value -> value.contains(" "));
        if (folds && spaced && test.part().kind() == MessagePart.Kind.TEXT) {
            note.accept("words that stand on two lines are not found: "
                    + Wording.english().of(test.statement()));
        }
    }

    private String how(TextCriterion test) {
        String comparator = test.comparison() == Comparison.EXACT ? " :comparator \"i;octet\"" : "";
        return switch (test.how()) {
            case CONTAINS -> ":contains" + comparator;
            case IS -> ":is" + comparator;
            case BEGINS, ENDS, WILDCARD -> ":matches" + comparator;
            case PATTERN -> {
                text.needs("regex");
                note.accept("patterns differ between RE2 and a script's extended regular expressions: "
                        + Wording.english().of(test.statement()));
                yield ":regex" + comparator;
            }
            case WORDS ->
                throw new Comparing.Unsupported(
                        "whole words: mail " + Wording.english().of(test.statement()));
        };
    }

    private static String key(MatchType how, String written) {
        String literal = written.replace("\\", "\\\\").replace("*", "\\*").replace("?", "\\?");
        return switch (how) {
            case BEGINS -> literal + "*";
            case ENDS -> "*" + literal;
            default -> written;
        };
    }

    private String looking(MessagePart part, String how, String keys) {
        String piece = switch (part.piece()) {
            case ALL -> ":all";
            case LOCAL -> ":localpart";
            case DOMAIN -> ":domain";
            case USER, DETAIL -> {
                text.needs("subaddress");
                yield part.piece() == MessagePart.Piece.USER ? ":user" : ":detail";
            }
        };
        return switch (part.kind()) {
            case SUBJECT -> "header " + how + " \"subject\" " + keys;
            case FIELD -> "header " + how + " " + Text.quoted(part.field()) + " " + keys;
            case ADDRESS -> "address " + piece + " " + how + " " + Text.quoted(part.field()) + " " + keys;
            case SENDER -> "address :all " + how + " \"from\" " + keys;
            case RECIPIENT -> "address :all " + how + " [\"to\", \"cc\"] " + keys;
            case TO -> "address :all " + how + " \"to\" " + keys;
            case CC -> "address :all " + how + " \"cc\" " + keys;
            case RETURN_PATH -> envelope(piece + " " + how, List.of("from"), keys);
            case DELIVERED_TO -> envelope(piece + " " + how, List.of("to"), keys);
            case TEXT -> {
                text.needs("body");
                yield "body :text " + how + " " + keys;
            }
            case DATE -> date(part.field(), how, keys);
            default ->
                throw new Comparing.Unsupported(
                        "a script can't look at " + Wording.english().of(part.statement()));
        };
    }

    private String date(String asked, String how, String keys) {
        text.needs("date");
        String[] split = Pieces.between(asked, '/').toArray(String[]::new);
        String zone = split[2].equals(DatePieces.ORIGINAL)
                ? ":originalzone "
                : split[2].isEmpty() ? "" : ":zone " + Text.quoted(split[2]) + " ";
        return split[0].equals("now")
                ? "currentdate " + zone + how + " " + Text.quoted(split[1]) + " " + keys
                : "date " + zone + how + " " + Text.quoted(split[0]) + " " + Text.quoted(split[1]) + " " + keys;
    }

    private String number(NumberCriterion test) {
        long value = test.value();
        if (test.measure() == NumberCriterion.Measure.SIZE) {
            return switch (test.relation()) {
                case OVER -> "size :over " + value;
                case UNDER -> "size :under " + value;
                case AT_LEAST -> "not size :under " + value;
                case AT_MOST -> "not size :over " + value;
                case EQUAL -> "not anyof (size :over " + value + ", size :under " + value + ")";
                case OTHER_THAN -> "anyof (size :over " + value + ", size :under " + value + ")";
            };
        }
        boolean fields = test.of().stream().allMatch(part -> part.kind() == MessagePart.Kind.FIELD);
        boolean addresses = test.of().stream().allMatch(part -> part.kind() == MessagePart.Kind.ADDRESS);
        if (test.measure() != NumberCriterion.Measure.COUNT || !fields && !addresses) {
            throw new Comparing.Unsupported("mail " + Wording.english().of(test.statement()));
        }
        text.needs("relational");
        text.needs("comparator-i;ascii-numeric");
        return (fields ? "header" : "address") + " :count " + Text.quoted(RELATIONS.get(test.relation()))
                + " :comparator \"i;ascii-numeric\" "
                + Text.list(test.of().stream().map(MessagePart::field).toList()) + " " + Text.quoted("" + value);
    }
}
