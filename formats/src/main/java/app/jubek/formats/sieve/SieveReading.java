package app.jubek.formats.sieve;

import app.jubek.core.criteria.Criterion;
import app.jubek.core.criteria.Everything;
import app.jubek.core.criteria.Nothing;
import app.jubek.core.rule.Ending;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.step.Step;
import app.jubek.formats.sieve.syntax.Arguments;
import app.jubek.formats.sieve.syntax.EncodedCharacters;
import app.jubek.formats.sieve.syntax.Parser;
import app.jubek.formats.sieve.syntax.Place;
import app.jubek.formats.sieve.syntax.Script;
import app.jubek.formats.sieve.syntax.SieveSyntaxException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * A script as a rule book: branches, nesting and stop become rules in order, each with the whole condition under which its
 * actions are reached.
 */
public final class SieveReading {
    private static final Set<String> KNOWN = Set.of(
            "fileinto",
            "envelope",
            "copy",
            "body",
            "relational",
            "date",
            "subaddress",
            "imap4flags",
            "vacation",
            "vacation-seconds",
            "mailbox",
            "special-use",
            "regex",
            "encoded-character",
            "comparator-i;octet",
            "comparator-i;ascii-casemap",
            "comparator-i;ascii-numeric");
    private static final int LONGEST_NAME = 200;

    private final List<Rule> rules = new ArrayList<>();
    private final List<NotCarried> notes = new ArrayList<>();
    private final ReadActions actions = new ReadActions(this::note);

    private SieveReading() {}

    /** What became of a script. */
    public record Read(RuleBook book, List<NotCarried> notCarried) {
        public Read {
            notCarried = List.copyOf(notCarried);
        }
    }

    /**
     * @throws SieveSyntaxException when it is no script
     */
    public static Read read(String script) {
        SieveReading reading = new SieveReading();
        reading.block(EncodedCharacters.in(Parser.parse(script)).commands(), new Everything());
        return new Read(RuleBook.of(reading.rules), reading.notes);
    }

    private void note(Place place, String what) {
        notes.add(new NotCarried(place.toString(), what));
    }

    private void block(List<Script.Command> commands, Criterion reached) {
        List<Step> steps = new ArrayList<>();
        Optional<Script.Command> first = Optional.empty();
        Optional<Criterion> chain = Optional.empty();
        for (Script.Command command : commands) {
            boolean branch = Set.of("if", "elsif", "else").contains(command.name());
            if (branch) {
                rule(first, reached, steps, Ending.CONTINUE);
                first = Optional.empty();
                chain = branch(command, reached, chain);
                continue;
            }
            chain = Optional.empty();
            if (command.is("stop")) {
                rule(Optional.of(first.orElse(command)), reached, steps, Ending.STOP_HERE);
                return;
            }
            if (ReadActions.isAction(command.name())) {
                first = first.isPresent() ? first : Optional.of(command);
                steps.addAll(actions.read(command));
            } else {
                other(command);
            }
        }
        rule(first, reached, steps, Ending.CONTINUE);
    }

    private void other(Script.Command command) {
        if (!command.is("require")) {
            note(command.place(), "the command \"" + command.name() + "\" is not known here and is left out");
            return;
        }
        Arguments.of(command.arguments(), command.place()).list(0, "a list of extensions").stream()
                .filter(name -> !KNOWN.contains(name))
                .forEach(name -> note(command.place(), "the extension \"" + name + "\" is not carried"));
    }

    /**
     * Returns under what condition an elsif or else that follows is reached; empty when this one can't be told, so neither
     * can they.
     */
    private Optional<Criterion> branch(Script.Command command, Criterion reached, Optional<Criterion> before) {
        boolean begins = command.is("if");
        if (!begins && before.isEmpty()) {
            note(command.place(), "\"" + command.name() + "\" is left out, as what stands before it is");
            return Optional.empty();
        }
        Criterion still = begins ? reached : before.orElseThrow();
        if (command.is("else")) {
            block(named(command), still);
            return Optional.empty();
        }
        Script.Test test = command.test().orElseThrow();
        try {
            Criterion holds = ReadTests.read(test);
            block(named(command), Conditions.all(List.of(still, holds)));
            return Optional.of(Conditions.all(List.of(still, Conditions.not(holds))));
        } catch (Comparing.Unsupported unsupported) {
            note(test.place(), "left out with its actions: " + unsupported.getMessage());
        } catch (IllegalArgumentException refused) {
            note(test.place(), "left out with its actions: " + refused.getMessage());
        }
        return Optional.empty();
    }

    /** The comment above a branch names what is in it. */
    private static List<Script.Command> named(Script.Command branch) {
        if (branch.comment().isEmpty() || branch.block().isEmpty()) {
            return branch.block();
        }
        List<Script.Command> block = new ArrayList<>(branch.block());
        Script.Command first = block.get(0);
        String comment = first.comment().isEmpty() ? branch.comment() : first.comment();
        block.set(
                0,
                new Script.Command(
                        first.name(), first.arguments(), first.test(), first.block(), comment, first.place()));
        return block;
    }

    private void rule(Optional<Script.Command> first, Criterion reached, List<Step> steps, Ending ending) {
        boolean never = reached instanceof Nothing;
        boolean idle = steps.isEmpty() && ending == Ending.CONTINUE;
        if (first.isPresent() && !never && !idle) {
            String comment = first.get().comment();
            String name = comment.isBlank() ? first.get().place().toString() : comment;
            rules.add(new Rule(
                    new RuleId("rule-" + (rules.size() + 1)),
                    1,
                    name.substring(0, Math.min(name.length(), LONGEST_NAME)),
                    reached,
                    new Nothing(),
                    steps,
                    ending,
                    true));
        }
        steps.clear();
    }
}
