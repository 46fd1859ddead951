package app.jubek.core.decide;

import app.jubek.core.criteria.InHand;
import app.jubek.core.message.ReadMessage;

/** Decides what is done with a message: a pure function, the same for real mail, rehearsal and evidence. */
public final class Engine {
    private Engine() {}

    public static Decision decide(CompiledBook book, ReadMessage message, Surroundings at) {
        InHand inHand = new InHand(message, at.setting());
        CompiledBook.Judged judged = book.judge(inHand, at::silence, at.isAllOn());
        return new Planning(message, at, judged.isFenced()).decision(judged.trace(), judged.notes());
    }
}
