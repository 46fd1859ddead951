package app.jubek.core.criteria;

import app.jubek.core.wording.Code;

/** How one thing stands to another (RFC 5231 §4). */
public enum Relation implements Code {
    OVER,
    AT_LEAST,
    UNDER,
    AT_MOST,
    EQUAL,
    OTHER_THAN;

    @Override
    public String id() {
        return "RELATION_" + name();
    }

    /**
     * @param compared as {@link Comparable#compareTo} tells it
     */
    boolean holds(int compared) {
        return switch (this) {
            case OVER -> compared > 0;
            case AT_LEAST -> compared >= 0;
            case UNDER -> compared < 0;
            case AT_MOST -> compared <= 0;
            case EQUAL -> compared == 0;
            case OTHER_THAN -> compared != 0;
        };
    }
}
