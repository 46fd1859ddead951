package app.jubek.core.absence;

import app.jubek.core.address.MailAddress;
import app.jubek.core.rule.RuleId;
import java.util.List;

/**
 * Somebody stands in.
 *
 * @param substitute inside the organisation
 * @param rules whose mail is handed over, where that is chosen
 * @param redirected unchanged; else forwarded
 * @param daysBefore so many days before the first one the substitute is told, and asked
 */
public record TakingOver(MailAddress substitute, Share share, List<RuleId> rules, boolean redirected, int daysBefore) {
    private static final int MOST_DAYS = 60;

    /** What is handed over. */
    public enum Share {
        NOTHING,
        ALL,
        /** What some rules pick. */
        OF_RULES
    }

    public TakingOver {
        rules = List.copyOf(rules);
        if (share == Share.OF_RULES && rules.isEmpty()) {
            throw new IllegalArgumentException("choose the rules whose mail is handed over");
        }
        if (daysBefore < 0 || daysBefore > MOST_DAYS) {
            throw new IllegalArgumentException("a substitute is told 0 to " + MOST_DAYS + " days before");
        }
    }
}
