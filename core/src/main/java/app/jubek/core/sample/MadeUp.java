package app.jubek.core.sample;

import app.jubek.core.criteria.AddressCriterion;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Group;
import app.jubek.core.criteria.NumberCriterion;
import app.jubek.core.criteria.SimpleCriterion;
import app.jubek.core.criteria.TextCriterion;
import app.jubek.core.criteria.Trait;
import app.jubek.core.criteria.TraitCriterion;
import app.jubek.core.matching.MatchType;
import app.jubek.core.message.SentBy;
import java.util.List;
import java.util.Optional;

/**
 * Makes up a message that meets criteria, or just fails to. Not every criterion can be met by a message of so few parts,
 * and one wish may spoil another: whoever needs it to be met looks at what came of it.
 */
public final class MadeUp {
    private static final String SOMEBODY = "somebody@sender.example";

    private final Optional<Aim> aim;
    private final int variant;
    private String from = SOMEBODY;
    private String to = "";
    private String subject = "";
    private String text = "";
    private Optional<SampleMessage.SentBy> sentBy = Optional.empty();
    private Optional<String> attachment = Optional.empty();

    /**
     * @param met whether the message is to meet the criterion
     */
    public record Wish(Criterion criterion, boolean met) {}

    /**
     * Which criterion of several it is to come down to.
     *
     * @param value which of its values
     */
    public record Aim(Criterion at, int value) {}

    private MadeUp(Optional<Aim> aim, int variant) {
        this.aim = aim;
        this.variant = variant;
    }

    /** One that meets a criterion. */
    public static SampleMessage meeting(Criterion criterion) {
        return of(List.of(new Wish(criterion, true)), Optional.empty(), 0);
    }

    /**
     * @param variant of several ways to meet the wishes, which; from 0
     */
    public static SampleMessage of(List<Wish> wishes, Optional<Aim> aim, int variant) {
        MadeUp made = new MadeUp(aim, variant);
        wishes.forEach(wish -> made.make(wish.criterion(), wish.met()));
        return new SampleMessage(
                made.from, made.to, made.subject, made.text, made.sentBy, made.attachment, Optional.empty());
    }

    private void make(Criterion criterion, boolean met) {
        if (criterion instanceof Group group) {
            make(group, met);
        } else if (criterion instanceof SimpleCriterion test) {
            if (met != test.negated()) {
                hit(test);
            } else {
                miss(test);
            }
        }
    }

    private void make(Group group, boolean met) {
        boolean all = group.how() == Group.Quantifier.ALL;
        boolean alike = met == (group.how() != Group.Quantifier.ANY);
        List<Criterion> inside = group.criteria();
        int turned = alike ? -1 : chosen(inside);
        for (int i = 0; i < inside.size(); i++) {
            make(inside.get(i), all == (i != turned));
        }
    }

    private int chosen(List<Criterion> inside) {
        for (int i = 0; i < inside.size(); i++) {
            if (isAimedAt(inside.get(i))) {
                return i;
            }
        }
        return variant % inside.size();
    }

    private boolean isAimedAt(Criterion criterion) {
        return aim.filter(wanted -> holds(criterion, wanted.at())).isPresent();
    }

    private static boolean holds(Criterion criterion, Criterion wanted) {
        return criterion.equals(wanted)
                || criterion instanceof Group group
                        && group.criteria().stream().anyMatch(inner -> holds(inner, wanted));
    }

    private int value(SimpleCriterion test) {
        int wanted = aim.filter(a -> a.at().equals(test)).map(Aim::value).orElse(variant);
        return wanted % Math.max(1, test.terms().size());
    }

    private void hit(SimpleCriterion test) {
        if (test instanceof AddressCriterion address) {
            hit(address);
        } else if (test instanceof TextCriterion words && words.how() != MatchType.PATTERN) {
            hit(words);
        } else if (test instanceof TraitCriterion traits) {
            hit(traits.traits().get(value(test)));
        } else if (test instanceof NumberCriterion number && number.measure() == NumberCriterion.Measure.ATTACHMENTS) {
            attachment = Optional.of("picture.jpg");
        }
    }

    private void miss(SimpleCriterion test) {
        if (test.equals(new TraitCriterion(List.of(new Trait.Sent(SentBy.PERSON)), false))) {
            sentBy = Optional.of(SampleMessage.SentBy.AUTOMATICALLY);
        }
    }

    private void hit(AddressCriterion criterion) {
        String value = criterion.values().get(value(criterion));
        String address = criterion.how() == AddressCriterion.AddressMatch.IS ? value : "somebody@" + value;
        boolean ofSender = switch (criterion.part()) {
            case SENDER, RETURN_PATH, ANY -> true;
            case RECIPIENT, TO, CC, DELIVERED_TO -> false;
        };
        if (ofSender) {
            from = address;
        } else {
            to = address;
        }
    }

    private void hit(TextCriterion words) {
        String value = words.written().get(value(words)).replace('*', ' ').replace('?', 'x');
        switch (words.part().kind()) {
            case SUBJECT, BARE_SUBJECT, SUBJECT_OR_TEXT, SUBJECT_OR_ADDED_TEXT ->
                subject = joined(words.how(), subject, " ", value);
            case TEXT, ADDED_TEXT -> text = joined(words.how(), text, "\n", value);
            case SENDER_NAME -> from = value + " <" + bare(from) + ">";
            case SENDER, ANY_ADDRESS -> from = addressWith(value);
            case RECIPIENT, TO -> to = addressWith(value);
            case ATTACHMENT_NAME -> attachment = Optional.of(value.startsWith(".") ? "file" + value : value);
            default -> {
                // nothing that a sample message has
            }
        }
    }

    private static String joined(MatchType how, String before, String by, String value) {
        return switch (how) {
            case IS -> value;
            case BEGINS -> (value + by + before).strip();
            default -> (before + by + value).strip();
        };
    }

    private static String bare(String sender) {
        int open = sender.indexOf('<');
        return open < 0 ? sender : sender.substring(open + 1, sender.length() - 1);
    }

    private static String addressWith(String value) {
        int at = value.indexOf('@');
        String local = at < 0 ? value : value.substring(0, at);
        String domain = at < 0 ? "" : value.substring(at + 1);
        return (local.isBlank() ? "somebody" : local.strip()) + "@"
                + (domain.isBlank() ? "sender.example" : domain.strip());
    }

    private void hit(Trait trait) {
        if (trait instanceof Trait.Sent sent) {
            sentBy = switch (sent.by()) {
                case LIST -> Optional.of(SampleMessage.SentBy.A_LIST);
                case BULK -> Optional.of(SampleMessage.SentBy.MASS_MAIL);
                case AUTOMATIC_REPLY, AUTOMATIC_NOTICE -> Optional.of(SampleMessage.SentBy.AUTOMATICALLY);
                case PERSON, BOUNCE, CALENDAR -> sentBy;
            };
        }
    }
}
