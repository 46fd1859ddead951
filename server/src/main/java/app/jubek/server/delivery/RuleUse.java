package app.jubek.server.delivery;

import java.time.Instant;

/**
 * How often a rule acted, as far as records go back.
 *
 * @param messages it did something with
 * @param overtaken messages whose answer an earlier rule gave
 */
public record RuleUse(String rule, long messages, Instant last, long overtaken) {
    RuleUse with(long overtakenOnes) {
        return new RuleUse(rule, messages, last, overtakenOnes);
    }
}
