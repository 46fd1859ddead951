package app.jubek.core.trial;

import app.jubek.core.wording.Code;

/** What is recorded about trials with a version of the rules. */
public enum TrialNote implements Code {
    /** The trial's name. */
    SAVED_THOUGH_DIFFERS;

    @Override
    public String id() {
        return "TRIAL_" + name();
    }
}
