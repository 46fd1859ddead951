package app.jubek.server.delivery;

/** How many messages one kind of step was done with. */
public record DoneCount(Work kind, long messages) {}
