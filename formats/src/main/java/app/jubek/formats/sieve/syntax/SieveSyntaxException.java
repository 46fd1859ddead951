package app.jubek.formats.sieve.syntax;

/** A script that is none: where, and why. */
public final class SieveSyntaxException extends RuntimeException {
    private static final long serialVersionUID = 1L;

    private final transient Place place;

    public SieveSyntaxException(Place place, String cause) {
        super(cause);
        this.place = place;
    }

    public Place place() {
        return place;
    }
}
