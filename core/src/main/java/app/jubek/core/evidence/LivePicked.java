package app.jubek.core.evidence;

import app.jubek.core.corpus.Corpus;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.schedule.Opening;
import java.util.BitSet;
import java.util.Optional;

/**
 * Which past messages a rule picks as it is live. It is asked at each key while the rule is edited and stays the same
 * until the rules, the opening hours or the messages change, so the last answer is kept.
 */
public final class LivePicked {
    private Optional<Answer> last = Optional.empty();

    private record Question(RuleBook book, RuleId rule, Opening opening) {}

    private record Answer(Question question, Corpus.View past, BitSet picked) {}

    /** By place in the past mail. */
    public synchronized BitSet of(RuleBook book, RuleId rule, Corpus.View past, Opening opening) {
        Question question = new Question(book, rule, opening);
        Answer answer = last.filter(known ->
                        known.question().equals(question) && known.past().isSameAs(past))
                .orElseGet(() -> new Answer(
                        question, past, Evidence.of(book, rule, past, opening).picked()));
        last = Optional.of(answer);
        return (BitSet) answer.picked().clone();
    }
}
