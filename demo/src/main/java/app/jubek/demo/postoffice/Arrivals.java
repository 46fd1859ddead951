package app.jubek.demo.postoffice;

/** Told of every message the post office has accepted, before it answers 250. */
@FunctionalInterface
public interface Arrivals {
    void accepted(byte[] bytes);
}
