package app.jubek.core.decide;

import app.jubek.core.criteria.InHand;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.text.Budget;

/** Decides what is done with a message: a pure function, the same for real mail, rehearsal and evidence. */
public final class Engine {
    private Engine() {}

    public static Decision decide(CompiledBook book, ReadMessage message, Surroundings at) {
        return decide(book, message, at, Budget.UNLIMITED);
    }

    /**
     * @param budget what deciding may cost
     * @throws Budget.Spent when it costs more
     */
    public static Decision decide(CompiledBook book, ReadMessage message, Surroundings at, Budget budget) {
        InHand inHand = new InHand(message, at.setting(), budget);
        CompiledBook.Judged judged = book.judge(inHand, at::silence, at.isAllOn());
        return new Planning(inHand, at, judged.isFenced()).decision(judged.trace(), judged.notes());
    }
}
