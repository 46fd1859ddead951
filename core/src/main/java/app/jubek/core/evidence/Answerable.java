package app.jubek.core.evidence;

import app.jubek.core.decide.Engine;
import app.jubek.core.people.OwnSide;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.BooleanSupplier;

/**
 * Which past messages a rule may answer, as far as the message itself goes. It is asked at each key while a rule that
 * answers is edited, and stays the same while the rule answers by the same, so it is kept.
 */
public final class Answerable {
    private Optional<Question> last = Optional.empty();
    private final Map<Long, Boolean> known = new HashMap<>();

    private record Question(OwnSide own, Engine.AnswersBy answersBy) {}

    /**
     * @param answersBy all of the rule that counts
     * @param message its id
     * @param ask says it when it is not known
     */
    synchronized boolean is(OwnSide own, Engine.AnswersBy answersBy, long message, BooleanSupplier ask) {
        Question question = new Question(own, answersBy);
        if (!last.equals(Optional.of(question))) {
            known.clear();
            last = Optional.of(question);
        }
        return known.computeIfAbsent(message, id -> ask.getAsBoolean());
    }
}
