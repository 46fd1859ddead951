package app.jubek.server.step;

import java.time.Instant;

/**
 * How often a rule acted, as far as records go back.
 *
 * @param messages it did something with
 * @param superseded messages whose answer an earlier rule gave
 */
public record RuleUse(String rule, long messages, Instant last, long superseded) {
    public RuleUse with(long overtakenOnes) {
        return new RuleUse(rule, messages, last, overtakenOnes);
    }
}
