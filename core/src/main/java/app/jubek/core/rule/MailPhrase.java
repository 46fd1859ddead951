package app.jubek.core.rule;

import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Everything;
import app.jubek.core.criteria.Group;
import app.jubek.core.criteria.Trait;
import app.jubek.core.criteria.TraitCriterion;
import app.jubek.core.message.SentBy;
import app.jubek.core.wording.Argument;
import app.jubek.core.wording.Code;
import app.jubek.core.wording.Statement;
import java.util.List;
import java.util.stream.Stream;

/** Which mail a rule is about, as the subject of its sentence and as what is excepted from it. */
enum MailPhrase implements Code {
    ALL_MAIL,
    /** The clause of the criteria. */
    MAIL_PICKED_OUT,
    MAIL_LEFT_OUT,
    ALL_PERSON,
    ALL_AUTOMATIC_REPLY,
    ALL_AUTOMATIC_NOTICE,
    ALL_LIST,
    ALL_BULK,
    ALL_BOUNCE,
    ALL_CALENDAR;

    static Statement pickedOut(Criterion criterion) {
        return criterion instanceof Everything ? ALL_MAIL.with() : MAIL_PICKED_OUT.with(criterion.statement());
    }

    /** Each exception by itself. */
    static Argument leftOut(Criterion criterion) {
        List<Criterion> each = criterion instanceof Group group && group.how() == Group.Quantifier.ANY
                ? group.criteria()
                : List.of(criterion);
        return Argument.and(each.stream().flatMap(MailPhrase::nouns).toList());
    }

    private static Stream<Statement> nouns(Criterion criterion) {
        if (criterion instanceof TraitCriterion test
                && !test.negated()
                && test.traits().stream().allMatch(Trait.Sent.class::isInstance)) {
            return test.traits().stream()
                    .map(trait -> all(((Trait.Sent) trait).by()).with());
        }
        return Stream.of(MAIL_LEFT_OUT.with(criterion.statement()));
    }

    private static MailPhrase all(SentBy by) {
        return switch (by) {
            case PERSON -> ALL_PERSON;
            case AUTOMATIC_REPLY -> ALL_AUTOMATIC_REPLY;
            case AUTOMATIC_NOTICE -> ALL_AUTOMATIC_NOTICE;
            case LIST -> ALL_LIST;
            case BULK -> ALL_BULK;
            case BOUNCE -> ALL_BOUNCE;
            case CALENDAR -> ALL_CALENDAR;
        };
    }
}
