package app.jubek.core.step;

/** Names of folders to put mail in. */
final class Folders {
    private Folders() {}

    static String named(String folder) {
        String name = folder.strip();
        if (name.isEmpty() || name.equalsIgnoreCase("INBOX")) {
            throw new IllegalArgumentException("name a folder other than the inbox to file in");
        }
        return name;
    }

    /** A value as the name of one folder. */
    static String part(String value) {
        return value.replaceAll("[/\\\\%*\\p{Cc}]", "_").strip();
    }
}
