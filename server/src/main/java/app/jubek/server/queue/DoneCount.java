package app.jubek.server.queue;

/** How many messages one kind of step was done with. */
public record DoneCount(Work kind, long messages) {}
