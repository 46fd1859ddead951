package app.jubek.core.decide;

import app.jubek.core.criteria.Searchable;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.rule.RuleBook;
import java.util.List;

/** Decides what is done with a message: a pure function, the same for real mail, rehearsal and evidence. */
public final class Engine {
    private Engine() {}

    public static Decision decide(RuleBook book, ReadMessage message, Surroundings at) {
        Searchable searchable = Searchable.of(message);
        List<Outcome> trace = new Course(book).run(searchable, rule -> !at.receivedBeforeOn(rule.id()));
        Planning planning = new Planning(message, at, book.fence().holds(searchable));
        trace.stream().filter(Outcome::isPicked).map(Outcome::rule).forEach(planning::add);
        return planning.decision(trace);
    }
}
