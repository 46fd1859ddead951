package app.jubek.core.evidence;

/** How the messages of the evidence stand to one rule; the first three are disjoint. */
public enum Counter {
    PICKED,
    LEFT_OUT,
    STOPPED_EARLIER,
    LATER_RULES_ACT,
    NEAR_MISS,
    /** Picked, and come at a time at which the rule rests by its schedule. */
    OUTSIDE_ITS_HOURS
}
