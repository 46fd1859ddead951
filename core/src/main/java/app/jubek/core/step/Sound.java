package app.jubek.core.step;

/** Sounds that ship with Jubek. */
public enum Sound {
    NONE,
    DROP,
    BELL,
    WOOD
}
