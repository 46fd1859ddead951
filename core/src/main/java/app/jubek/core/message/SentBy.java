package app.jubek.core.message;

/** Who or what sent a message; several may hold at once. */
public enum SentBy {
    PERSON("a person"),
    AUTOMATIC_REPLY("an automatic reply"),
    AUTOMATIC_NOTICE("an automatic notice"),
    LIST("a mailing list"),
    BULK("bulk mail"),
    BOUNCE("a bounce or receipt"),
    CALENDAR("a calendar");

    private final String words;

    SentBy(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
