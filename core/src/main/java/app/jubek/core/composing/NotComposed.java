package app.jubek.core.composing;

import app.jubek.core.wording.Statement;

/** Nothing was composed. */
public final class NotComposed extends Exception {
    private static final long serialVersionUID = 1L;

    private final transient Statement why;

    public NotComposed(Statement why) {
        super(why.code());
        this.why = why;
    }

    public Statement why() {
        return why;
    }
}
