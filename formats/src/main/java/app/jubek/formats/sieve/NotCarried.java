package app.jubek.formats.sieve;

/**
 * Something that did not come across, or not exactly.
 *
 * @param where line and column of a script, or a rule's name
 * @param what in plain words, and what came of it
 */
public record NotCarried(String where, String what) {
    @Override
    public String toString() {
        return where + ": " + what;
    }
}
