package app.jubek.server.step;

/** How many messages one kind of step was done with. */
public record DoneCount(Work kind, long messages) {}
