package app.jubek.cli;

import app.jubek.core.decide.DecisionContext;
import app.jubek.core.reading.MessageReading;
import app.jubek.core.text.Limits;
import app.jubek.core.trial.Trial;
import app.jubek.core.trial.TrialResult;
import app.jubek.core.trial.TrialRun;
import app.jubek.core.view.MessageView;
import app.jubek.core.wording.Wording;
import app.jubek.formats.rulebook.FormatException;
import app.jubek.formats.trial.TrialJson;
import app.jubek.formats.trial.WrittenTrial;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.stream.Stream;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** Runs trials that lie in a folder against rules; nothing is done. */
@Command(
        name = "try",
        description =
                "Runs the trials of a folder against rules. A trial is a message, NAME.eml, and beside it what must"
                        + " happen to it, NAME.trial.json. Nothing is done. Exit status 1: not all of them hold.",
        mixinStandardHelpOptions = true,
        footer = {"", "Example:", "  jubek try --rules rules.json --trials trials --me visits@ostrel-gardens.example"})
final class Try implements Callable<Integer> {
    private static final String END = ".trial.json";

    @Option(names = "--rules", required = true, paramLabel = "FILE", description = "rules, .json or .sieve")
    private Path rules = Path.of("");

    @Option(names = "--trials", required = true, paramLabel = "FOLDER", description = "a folder of trials")
    private Path trials = Path.of("");

    @Mixin
    private Office office = new Office();

    @CommandLine.Spec
    private CommandLine.Model.CommandSpec spec;

    private final MessageReading reading = new MessageReading(Limits.standard());

    @Override
    public Integer call() {
        RuleFile file = office.rules(rules);
        file.notCarried().forEach(note -> spec.commandLine().getErr().println("not carried: " + note));
        List<Trial> read = files().stream().map(this::trial).toList();
        if (read.isEmpty()) {
            throw new BadFile(trials, "", "there are no trials in it: NAME.eml with NAME.trial.json");
        }
        DecisionContext at = office.context(Instant.EPOCH, false);
        List<TrialResult> results = TrialRun.of(file.book(), read, at);
        results.forEach(this::tell);
        long differ = results.stream().filter(result -> !result.holds()).count();
        spec.commandLine()
                .getOut()
                .println(results.size() + " trials, " + (results.size() - differ) + " hold, " + differ + " differ");
        return differ == 0 ? 0 : Jubek.DIFFERS;
    }

    private void tell(TrialResult result) {
        PrintWriter out = spec.commandLine().getOut();
        Wording english = Wording.english();
        out.println(
                (result.holds() ? "holds    " : "differs  ") + result.trial().id());
        result.unmet().forEach(each -> out.println("  must be: " + english.of(each.statement(result.names()))));
        if (!result.holds()) {
            result.happens().forEach(each -> out.println("  would be: " + english.of(each.what())));
        }
    }

    private List<Path> files() {
        try (Stream<Path> all = Files.list(trials)) {
            return all.filter(file -> file.getFileName().toString().endsWith(END))
                    .sorted()
                    .toList();
        } catch (IOException unreadable) {
            throw new BadFile(trials, "", "is no folder that can be listed");
        }
    }

    private Trial trial(Path beside) {
        String name = beside.getFileName().toString();
        Path mail = beside.resolveSibling(name.substring(0, name.length() - END.length()) + ".eml");
        WrittenTrial written = written(beside);
        try {
            MessageView seen = new MessageView(
                    reading.read(Files.readAllBytes(mail)),
                    office.context(written.at(), written.conversation()).context());
            return new Trial(written.name(), seen, written.expectations());
        } catch (IOException missing) {
            throw new BadFile(mail, "", "there is no such message that can be read");
        }
    }

    private static WrittenTrial written(Path file) {
        try {
            return TrialJson.read(Files.readString(file));
        } catch (FormatException wrong) {
            throw new BadFile(file, "", String.valueOf(wrong.getMessage()));
        } catch (IOException unreadable) {
            throw new BadFile(file, "", "is no UTF-8 text that can be read");
        }
    }
}
