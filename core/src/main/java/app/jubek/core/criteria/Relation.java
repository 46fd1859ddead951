package app.jubek.core.criteria;

/** How one thing stands to another (RFC 5231 §4). */
public enum Relation {
    OVER("over"),
    AT_LEAST("at least"),
    UNDER("under"),
    AT_MOST("at most"),
    EQUAL("exactly"),
    OTHER_THAN("other than");

    private final String words;

    Relation(String words) {
        this.words = words;
    }

    public String words() {
        return words;
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
