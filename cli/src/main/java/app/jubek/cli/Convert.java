package app.jubek.cli;

import app.jubek.formats.sieve.NotCarried;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/** Carries rules from one format to another; what does not come across is told. */
@Command(
        name = "convert",
        description = "Carries rules between JSON (.json) and Sieve (.sieve). What is not carried exactly is listed on"
                + " standard error, and the exit status is then 3.",
        mixinStandardHelpOptions = true,
        footer = {"", "Example:", "  jubek convert --from rules.sieve --to rules.json"})
final class Convert implements Callable<Integer> {
    @Option(names = "--from", required = true, paramLabel = "FILE", description = "the rules as they are")
    private Path from = Path.of("");

    @Option(names = "--to", required = true, paramLabel = "FILE", description = "the file to write")
    private Path to = Path.of("");

    @CommandLine.Spec
    private CommandLine.Model.CommandSpec spec;

    @Override
    public Integer call() {
        RuleFile rules = RuleFile.read(from);
        List<NotCarried> lost = new ArrayList<>(rules.notCarried());
        lost.addAll(RuleFile.write(rules.book(), to));
        lost.forEach(note -> spec.commandLine().getErr().println("not carried: " + note));
        return lost.isEmpty() ? 0 : Jubek.NOT_ALL;
    }
}
