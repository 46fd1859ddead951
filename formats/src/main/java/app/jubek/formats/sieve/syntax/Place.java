package app.jubek.formats.sieve.syntax;

/**
 * A place in a script.
 *
 * @param line from 1
 * @param column from 1, UTF-16 units
 */
public record Place(int line, int column) {
    @Override
    public String toString() {
        return "line " + line + ", column " + column;
    }
}
