package app.jubek.benchmarks.engine;

import app.jubek.core.criteria.MessagePart;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.criteria.TextCriterion;
import app.jubek.core.matching.Comparison;
import app.jubek.core.matching.MatchType;
import app.jubek.core.matching.Value;
import app.jubek.core.rule.Ending;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.step.Step;
import java.util.ArrayList;
import java.util.List;

/** Rule books made of phrases, five to a rule. */
final class Books {
    static final int EACH = 5;

    private Books() {}

    static RuleBook of(List<String> phrases) {
        List<Rule> rules = new ArrayList<>();
        for (int i = 0; i + EACH <= phrases.size(); i += EACH) {
            rules.add(rule(i, TextCriterion.phrases(MessagePart.Kind.SUBJECT_OR_TEXT, phrases.subList(i, i + EACH))));
        }
        return RuleBook.of(rules);
    }

    /** One rule in ten looks with wildcards, one in fifty with a pattern. */
    static RuleBook mixed(List<String> phrases) {
        List<Rule> rules = new ArrayList<>();
        for (int i = 0; i + EACH <= phrases.size(); i += EACH) {
            int number = i / EACH;
            MatchType how =
                    number % 50 == 7 ? MatchType.PATTERN : number % 10 == 3 ? MatchType.WILDCARD : MatchType.CONTAINS;
            List<Value> values = phrases.subList(i, i + EACH).stream()
                    .map(phrase -> Value.of(how, Comparison.FOLDED, written(how, phrase)))
                    .toList();
            rules.add(rule(i, new TextCriterion(MessagePart.of(MessagePart.Kind.SUBJECT_OR_TEXT), values, false)));
        }
        return RuleBook.of(rules);
    }

    private static String written(MatchType how, String phrase) {
        return switch (how) {
            case WILDCARD -> "*" + phrase.replaceAll("[*?\\\\]", "") + "*";
            case PATTERN -> phrase.replaceAll("[^A-Za-z0-9 ]", ".") + "[a-z]*";
            default -> phrase;
        };
    }

    private static Rule rule(int number, TextCriterion test) {
        return new Rule(
                new RuleId("r" + number),
                1,
                "r" + number,
                test,
                new Nothing(),
                List.of(new Step.Copy("f" + number)),
                Ending.CONTINUE,
                true);
    }

    /** The same as a script for jSieve. */
    static String script(List<String> phrases) {
        StringBuilder script = new StringBuilder("require [\"fileinto\", \"body\"];\r\n");
        for (int i = 0; i + EACH <= phrases.size(); i += EACH) {
            String keys = "[\""
                    + String.join(
                            "\", \"",
                            phrases.subList(i, i + EACH).stream()
                                    .map(p -> p.replace("\\", "\\\\").replace("\"", "\\\""))
                                    .toList())
                    + "\"]";
            script.append("if anyof (header :contains \"subject\" ")
                    .append(keys)
                    .append(", body :contains ")
                    .append(keys)
                    .append(") { fileinto \"f")
                    .append(i)
                    .append("\"; }\r\n");
        }
        return script.toString();
    }
}
