package app.jubek.core.composing;

import app.jubek.core.wording.Code;
import app.jubek.core.wording.Statement;
import java.util.Arrays;

/** Why nothing was composed. */
public enum ComposingTrouble implements Code {
    NOT_SET_UP(false),
    /** The service's address lies where it must not be asked. */
    INSIDE_OUR_NETWORK(false),
    UNREACHABLE(true),
    TIMED_OUT(true),
    /** The HTTP status it answered with. */
    ANSWERED_WITH(true),
    /** In the service's own words. */
    DECLINED(false),
    NOT_UNDERSTOOD(false),
    NOTHING_WRITTEN(false),
    TOO_LONG(false),
    /** By a fault of our own. */
    BROKE_OFF(false),
    /** The reply was changed, or left, before one was composed. */
    TOO_LATE(false);

    private final boolean passes;

    ComposingTrouble(boolean passes) {
        this.passes = passes;
    }

    /** Whether it is worth asking again soon. */
    public static boolean passes(Statement why) {
        return Arrays.stream(values()).anyMatch(each -> each.passes && why.is(each));
    }

    @Override
    public String id() {
        return "COMPOSING_" + name();
    }
}
