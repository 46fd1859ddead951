package app.jubek.core.trial;

import app.jubek.core.address.MailAddress;
import app.jubek.core.decide.Decision;
import app.jubek.core.plan.PlannedStep;
import app.jubek.core.rule.RuleId;
import app.jubek.core.step.Step;
import app.jubek.core.step.TargetFolder;
import app.jubek.core.template.TemplateId;
import app.jubek.core.wording.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * One thing that must, or must not, become of a message.
 *
 * @param of the rule's id, the address, the folder or the template's id; empty where any will do or there is none
 * @param must false when it must not be so
 */
public record Expectation(Fate fate, String of, boolean must) {
    /** What may become of a message. */
    public enum Fate {
        PICKED_BY,
        HANDED_ON_TO,
        FILED_IN,
        /** Any reply where no template is named. */
        REPLIED_WITH,
        IN_INBOX
    }

    /**
     * @throws IllegalArgumentException when it does not say of what
     */
    public Expectation {
        of = of.strip();
        boolean needed = fate != Fate.REPLIED_WITH && fate != Fate.IN_INBOX;
        if (needed && of.isEmpty()) {
            throw new IllegalArgumentException("say by which rule, to which address or in which folder");
        }
        of = fate == Fate.HANDED_ON_TO ? MailAddress.of(of).key() : fate == Fate.IN_INBOX ? "" : of;
    }

    public static Expectation picked(RuleId rule, boolean must) {
        return new Expectation(Fate.PICKED_BY, rule.value(), must);
    }

    public static Expectation noReply() {
        return new Expectation(Fate.REPLIED_WITH, "", false);
    }

    /** What a rule makes of a message now, as what must happen to it from now on. */
    public static List<Expectation> asDecided(RuleId rule, Decision decision) {
        boolean picked = isPicked(decision, rule.value());
        List<Expectation> all = new ArrayList<>();
        all.add(picked(rule, picked));
        if (!picked) {
            return all;
        }
        decision.planned().stream()
                .filter(planned -> planned.rule().equals(rule))
                .flatMap(planned -> done(planned).stream())
                .distinct()
                .forEach(all::add);
        if (decision.notDone().stream()
                .anyMatch(not -> not.planned().rule().equals(rule)
                        && !not.waits()
                        && not.planned().step() instanceof Step.Reply)) {
            all.add(noReply());
        }
        all.add(new Expectation(Fate.IN_INBOX, "", decision.staysInInbox()));
        return List.copyOf(all);
    }

    private static Optional<Expectation> done(PlannedStep planned) {
        if (planned.step() instanceof Step.HandOn handOn) {
            return handOn.to().stream().findFirst().map(to -> new Expectation(Fate.HANDED_ON_TO, to.address(), true));
        }
        if (isReply(planned)) {
            return Optional.of(new Expectation(Fate.REPLIED_WITH, template(planned), true));
        }
        return TargetFolder.of(planned.step()).map(target -> new Expectation(Fate.FILED_IN, target.folder(), true));
    }

    private static boolean isReply(PlannedStep planned) {
        return planned.step() instanceof Step.Reply
                && planned.sending().filter(sending -> !sending.isCopy()).isPresent();
    }

    private static String template(PlannedStep planned) {
        return ((Step.Reply) planned.step()).template().map(TemplateId::value).orElse("");
    }

    private static boolean isPicked(Decision decision, String rule) {
        return decision.trace().picking().stream()
                .anyMatch(picking -> picking.id().value().equals(rule));
    }

    /** Whether a decision is as this says; what waits for somebody counts as done. */
    public boolean isMet(Decision decision) {
        boolean so = switch (fate) {
            case PICKED_BY -> isPicked(decision, of);
            case IN_INBOX -> decision.staysInInbox();
            default -> decision.planned().stream().anyMatch(this::isDoneBy);
        };
        return so == must;
    }

    /** Whether a step is what this speaks of. */
    boolean isDoneBy(PlannedStep planned) {
        return switch (fate) {
            case HANDED_ON_TO ->
                planned.step() instanceof Step.HandOn handOn
                        && handOn.to().stream().anyMatch(to -> to.key().equals(of));
            case FILED_IN ->
                TargetFolder.of(planned.step())
                        .filter(target -> target.folder().equals(of))
                        .isPresent();
            case REPLIED_WITH -> isReply(planned) && (of.isEmpty() || of.equals(template(planned)));
            case PICKED_BY, IN_INBOX -> false;
        };
    }

    /**
     * @param names of rules and templates
     */
    public Statement statement(Names names) {
        return switch (fate) {
            case PICKED_BY -> (must ? TrialPhrase.PICKED_BY : TrialPhrase.NOT_PICKED_BY).with(names.rule(of));
            case HANDED_ON_TO -> (must ? TrialPhrase.HANDED_ON_TO : TrialPhrase.NOT_HANDED_ON_TO).with(of);
            case FILED_IN -> (must ? TrialPhrase.FILED_IN : TrialPhrase.NOT_FILED_IN).with(of);
            case REPLIED_WITH ->
                of.isEmpty()
                        ? (must ? TrialPhrase.REPLIED_TO : TrialPhrase.NO_REPLY).with()
                        : (must ? TrialPhrase.REPLIED_WITH : TrialPhrase.NOT_REPLIED_WITH).with(names.template(of));
            case IN_INBOX -> (must ? TrialPhrase.STAYS_IN_INBOX : TrialPhrase.LEAVES_INBOX).with();
        };
    }
}
