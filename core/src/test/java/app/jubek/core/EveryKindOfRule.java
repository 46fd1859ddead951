package app.jubek.core;

import app.jubek.core.address.MailAddress;
import app.jubek.core.criteria.AddressCriterion;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Everything;
import app.jubek.core.criteria.MessagePart;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.criteria.TextCriterion;
import app.jubek.core.decide.CompiledBook;
import app.jubek.core.decide.Decision;
import app.jubek.core.decide.Engine;
import app.jubek.core.matching.Comparison;
import app.jubek.core.matching.MatchType;
import app.jubek.core.matching.Value;
import app.jubek.core.message.ByteSource;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.outgoing.Composer;
import app.jubek.core.plan.PlannedStep;
import app.jubek.core.reading.MessageReading;
import app.jubek.core.rule.Ending;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.step.AnswersTo;
import app.jubek.core.step.Flag;
import app.jubek.core.step.ForwardOptions;
import app.jubek.core.step.Release;
import app.jubek.core.step.ReplyFrequency;
import app.jubek.core.step.ReplyOptions;
import app.jubek.core.step.Step;
import app.jubek.core.step.TargetFolder;
import app.jubek.core.template.Template;
import app.jubek.core.template.TemplateId;
import app.jubek.core.text.Limits;
import app.jubek.core.view.AsReceived;
import java.io.ByteArrayInputStream;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** A book that looks at a message in every way there is and does everything with it, so that nothing is left out. */
public final class EveryKindOfRule {
    private static final MailAddress COLLEAGUE = MailAddress.of("education@ostrel-gardens.example");
    private static final Template TEMPLATE = Template.plain(
            new TemplateId("t"),
            1,
            "thanks",
            Locale.UK,
            "About {{subject}}",
            "Dear {{sender.firstName}}, {{sender.name}} of {{sender.address}}, about {{subject}} of {{received.date}}.",
            Map.of("sender.firstName", "Sir or Madam", "sender.name", "you"));

    private static final CompiledBook BOOK = CompiledBook.of(RuleBook.of(rules()));

    private EveryKindOfRule() {}

    private static List<Rule> rules() {
        List<Rule> rules = new ArrayList<>();
        for (MessagePart.Kind kind : List.of(
                MessagePart.Kind.SUBJECT,
                MessagePart.Kind.BARE_SUBJECT,
                MessagePart.Kind.SUBJECT_OR_TEXT,
                MessagePart.Kind.ADDED_TEXT,
                MessagePart.Kind.SENDER_NAME,
                MessagePart.Kind.ATTACHMENT_NAME)) {
            for (MatchType how : MatchType.values()) {
                String written = how == MatchType.PATTERN ? "a.*b|a" : how == MatchType.WILDCARD ? "*a*b*a?" : "a a";
                Value value = Value.of(how, Comparison.FOLDED, written);
                rules.add(rule(rules.size(), new TextCriterion(MessagePart.of(kind), List.of(value), false), marks()));
            }
        }
        rules.add(rule(
                rules.size(),
                new AddressCriterion(
                        AddressCriterion.AddressField.ANY,
                        AddressCriterion.AddressMatch.IS,
                        List.of("a@b.example"),
                        true),
                new Step.Copy(new TargetFolder("By sender", Optional.of(TargetFolder.Each.SENDER), Optional.empty()))));
        rules.add(rule(rules.size(), new Everything(), new Step.Redirect(List.of(COLLEAGUE))));
        rules.add(rule(
                rules.size(),
                new Everything(),
                new Step.Forward(List.of(COLLEAGUE), List.of(), ForwardOptions.note("look"), false)));
        MailAddress form = MailAddress.of("form@b.example");
        rules.add(rule(
                rules.size(),
                new AddressCriterion(
                        AddressCriterion.AddressField.SENDER,
                        AddressCriterion.AddressMatch.IS,
                        List.of(form.address()),
                        false),
                reply(new AnswersTo.InText(AnswersTo.InText.USUAL, List.of(form)))));
        rules.add(rule(rules.size(), new Everything(), reply(AnswersTo.Header.RETURN_PATH)));
        return rules;
    }

    private static Step reply(AnswersTo to) {
        return new Step.Reply(
                TEMPLATE.id(),
                new ReplyOptions(
                        ReplyFrequency.PRESET,
                        Optional.empty(),
                        to,
                        true,
                        List.of(COLLEAGUE),
                        List.of(MailAddress.of("tours@partner.example")),
                        Optional.empty(),
                        true,
                        true,
                        Release.Plain.AT_ONCE));
    }

    private static Step marks() {
        return Step.Mark.with(Flag.FLAGGED);
    }

    private static Rule rule(int number, Criterion picksOut, Step step) {
        return new Rule(
                new RuleId("r" + number),
                1,
                "r" + number,
                picksOut,
                new Nothing(),
                List.of(step),
                Ending.CONTINUE,
                true);
    }

    /** A message read and decided. */
    public record Decided(ReadMessage message, Decision decision) {}

    public static Decided decided(byte[] mail) {
        ReadMessage message = new MessageReading(Limits.standard()).read(new ByteArrayInputStream(mail));
        return new Decided(message, Engine.decide(BOOK, message, Mails.context(TEMPLATE)));
    }

    /** Reads, decides, composes what leaves and reads that again, as with any message that comes in. */
    public static Decision handled(byte[] mail) {
        Decided decided = decided(mail);
        composed(decided, mail);
        return decided.decision();
    }

    public static void composed(Decided decided, byte[] mail) {
        Composer composer = new Composer(
                Mails.VISITS, Mails.HOPS, ZoneId.of("Europe/Stockholm"), id -> new byte[0], Optional.empty());
        Composer.Original original = new Composer.Original(decided.message(), ByteSource.of(mail), "digest");
        for (PlannedStep step : decided.decision().planned()) {
            if (step.sending().isPresent()) {
                AsReceived.of(
                        Mails.read(composer.compose(step, original, Mails.NOW).bytes()));
            }
        }
        Mails.words(decided.decision().statements());
    }
}
