package app.jubek.core.rehearse;

import app.jubek.core.corpus.Corpus;
import app.jubek.core.decide.Course;
import app.jubek.core.decide.Trace;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import java.util.HashMap;
import java.util.Map;

/**
 * How past mail flows down the course: how many messages each rule that is on takes, and how many no rule files.
 *
 * @param byRule messages that a rule picks
 * @param sparedByRule messages that only its exceptions keep from it
 * @param inInbox messages that would stay in the inbox
 */
public record CourseReach(Map<RuleId, Integer> byRule, Map<RuleId, Integer> sparedByRule, int inInbox) {
    public CourseReach {
        byRule = Map.copyOf(byRule);
        sparedByRule = Map.copyOf(sparedByRule);
    }

    public static CourseReach of(RuleBook book, Corpus.View past) {
        Course course = new Course(book);
        Map<RuleId, Integer> byRule = new HashMap<>();
        Map<RuleId, Integer> spared = new HashMap<>();
        int stay = 0;
        for (int at = 0; at < past.size(); at++) {
            boolean filed = false;
            Trace trace = course.run(past.hits(at));
            for (int i = 0; i < trace.size(); i++) {
                Rule rule = book.all().get(i);
                if (trace.isSpared(i)) {
                    spared.merge(rule.id(), 1, Integer::sum);
                }
                if (trace.isPicked(i)) {
                    byRule.merge(rule.id(), 1, Integer::sum);
                    filed |= rule.steps().stream().anyMatch(s -> s.kind().removes());
                }
            }
            stay += filed ? 0 : 1;
        }
        return new CourseReach(byRule, spared, stay);
    }

    public int spared(RuleId rule) {
        return sparedByRule.getOrDefault(rule, 0);
    }

    public int picked(RuleId rule) {
        return byRule.getOrDefault(rule, 0);
    }
}
