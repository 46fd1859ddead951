package app.jubek.formats.sieve;

import app.jubek.core.address.MailAddress;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.step.Release;
import app.jubek.core.step.ReplyFrequency;
import app.jubek.core.step.ReplyOptions;
import app.jubek.core.step.Step;
import app.jubek.core.step.StepKind;
import app.jubek.core.step.TargetFolder;
import app.jubek.core.template.Template;
import app.jubek.core.wording.Wording;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * A rule book as a script that any conforming interpreter runs to the same result. Only one answer is given to a message,
 * as a second vacation action would be an error (RFC 5230 §4.7): later ones stand under the condition that no earlier rule
 * with one picked the message.
 */
public final class SieveWriting {
    private final ServerClock clock;
    private final Text text = new Text();
    private final List<NotCarried> notes = new ArrayList<>();
    private final List<String> answeredWhen = new ArrayList<>();
    private boolean filedBefore;

    private SieveWriting(ServerClock clock) {
        this.clock = clock;
    }

    /** A script, and what is not in it. */
    public record Written(String script, List<NotCarried> notCarried) {
        public Written {
            notCarried = List.copyOf(notCarried);
        }
    }

    public static Written write(RuleBook book, ServerClock clock) {
        SieveWriting writing = new SieveWriting(clock);
        if (!(book.fence() instanceof Nothing)) {
            writing.note("the fence", "a script has none: what it holds back would leave");
        }
        book.rules().forEach(writing::rule);
        book.tail().forEach(rule -> writing.note(rule, "rules of the tail are left out"));
        return new Written(writing.text.whole(), writing.notes);
    }

    private void note(Rule rule, String what) {
        note("the rule \"" + rule.name() + "\"", what);
    }

    private void note(String where, String what) {
        notes.add(new NotCarried(where, what));
    }

    private void rule(Rule rule) {
        if (!rule.on()) {
            note(rule, "is paused and left out");
            return;
        }
        Optional<String> beyond = rule.steps().stream()
                .flatMap(step -> beyond(step, rule).stream())
                .findFirst();
        if (beyond.isPresent()) {
            note(rule, "is left out: a script " + beyond.get());
            return;
        }
        String condition;
        try {
            condition = new WriteSchedule(text, clock).within(rule.schedule(), condition(rule));
        } catch (Comparing.Unsupported unsupported) {
            note(rule, "is left out: " + unsupported.getMessage());
            return;
        }
        text.comment(rule.name());
        text.open("if " + condition);
        rule.steps().stream()
                .sorted(Comparator.comparing(step -> step.kind() == StepKind.MARK ? 0 : 1))
                .forEach(step -> step(rule, step));
        if (rule.ends()) {
            text.line("stop;");
        }
        text.close();
        boolean answers = rule.steps().stream().anyMatch(step -> step.kind() == StepKind.REPLY);
        if (answers) {
            answeredWhen.add(condition);
        }
        filedBefore |= !rule.ends()
                && rule.steps().stream().anyMatch(step -> step.kind().removes());
    }

    private String condition(Rule rule) {
        WriteTests tests = new WriteTests(text, what -> note(rule, what));
        String picks = tests.write(rule.picksOut());
        Criterion leaves = rule.leavesOut();
        return leaves instanceof Nothing ? picks : "allof (" + picks + ", not " + tests.write(leaves) + ")";
    }

    private void step(Rule rule, Step step) {
        if (step instanceof Step.Redirect redirect) {
            String copy = redirect.leaves() ? "" : ":copy ";
            if (!redirect.leaves()) {
                text.needs("copy");
            }
            redirect.to().forEach(to -> text.line("redirect " + copy + Text.quoted(to.address()) + ";"));
        } else if (step instanceof Step.File file) {
            text.needs("fileinto");
            text.needs("mailbox");
            text.line("fileinto :create " + Text.quoted(file.target().folder()) + ";");
        } else if (step instanceof Step.Copy copied) {
            List.of("fileinto", "copy", "mailbox").forEach(text::needs);
            text.line("fileinto :copy :create " + Text.quoted(copied.target().folder()) + ";");
        } else if (step instanceof Step.Mark mark) {
            mark(rule, mark);
        } else if (step instanceof Step.Reply reply) {
            reply(reply);
        } else if (step instanceof Step.Plain plain) {
            plain(rule, plain);
        } else {
            String why = step instanceof Step.Forward ? "can't make a new message" : "can't";
            note(
                    rule,
                    "to be " + Wording.english().of(step.statement()) + ": a script " + why + ", so this is left out");
        }
    }

    private void mark(Rule rule, Step.Mark mark) {
        text.needs("imap4flags");
        if (filedBefore) {
            note(rule, "marks are not set on what an earlier rule has filed");
        }
        if (!mark.add().isEmpty()) {
            text.line("addflag " + Text.list(mark.add()) + ";");
        }
        if (!mark.remove().isEmpty()) {
            text.line("removeflag " + Text.list(mark.remove()) + ";");
        }
    }

    /** What a script has no words for, though the rule without it would be another one. */
    private static Optional<String> beyond(Step step, Rule rule) {
        if (step.release() != Release.Plain.AT_ONCE) {
            return Optional.of("sends at once and can't wait");
        }
        if (step instanceof Step.Reply reply) {
            return beyond(reply, rule);
        }
        if (step instanceof Step.HandOn handOn && !handOn.groups().isEmpty()) {
            return Optional.of("knows no groups of an address book");
        }
        return TargetFolder.of(step).flatMap(SieveWriting::beyond);
    }

    private static Optional<String> beyond(Step.Reply reply, Rule rule) {
        ReplyOptions options = reply.options();
        boolean plain = options.equals(
                ReplyOptions.usual(ReplyFrequency.once(options.frequency().within()))
                        .alsoTo(options.aliases())
                        .keepingUnanswered(options.keepsUnanswered()));
        if (reply.template().isPresent()) {
            return Optional.of("has no templates, and its answer is taken from one");
        }
        if (Template.own(reply.subject(), reply.text()).isPresent()) {
            return Optional.of("fills no fields, and its answer has some");
        }
        if (!plain) {
            return Optional.of("answers to the return path only, once, and without a quote");
        }
        boolean moves = rule.steps().stream().anyMatch(other -> other.kind().removes());
        return options.keepsUnanswered() && moves
                ? Optional.of("can't keep in the inbox what it does not answer")
                : Optional.empty();
    }

    private static Optional<String> beyond(TargetFolder into) {
        return into.mailbox()
                .map(other -> "can't file in another mailbox")
                .or(() -> into.each()
                        .map(each -> "can't file into a folder for each "
                                + (each == TargetFolder.Each.SENDER ? "sender" : "value listed")));
    }

    private void reply(Step.Reply reply) {
        text.needs("vacation");
        String subject = reply.subject().isEmpty() ? "" : " :subject " + Text.quoted(reply.subject());
        String aliases = reply.options().aliases().isEmpty()
                ? ""
                : " :addresses "
                        + Text.list(reply.options().aliases().stream()
                                .map(MailAddress::address)
                                .toList());
        String action = "vacation :days " + reply.options().frequency().days() + subject + aliases + " "
                + Text.quoted(reply.text()) + ";";
        if (answeredWhen.isEmpty()) {
            text.line(action);
        } else {
            text.open("if not anyof (" + String.join(", ", answeredWhen) + ")");
            text.line(action);
            text.close();
        }
    }

    private void plain(Rule rule, Step.Plain step) {
        switch (step) {
            case KEEP -> text.line("keep;");
            case DELETE -> text.line("discard;");
            case TRASH -> {
                text.needs("fileinto");
                text.needs("special-use");
                text.line("fileinto :specialuse \"\\\\Trash\" \"Trash\";");
            }
            case ARCHIVE -> {
                text.needs("fileinto");
                text.needs("special-use");
                text.line("fileinto :specialuse \"\\\\Archive\" \"Archive\";");
            }
            case OUT_OF_JUNK ->
                note(
                        rule,
                        "to be " + Wording.english().of(step.statement())
                                + ": a script sees nothing that lies in junk, so this is left out");
            default -> throw new IllegalStateException("no such step");
        }
    }
}
