package app.jubek.cli;

import app.jubek.formats.sieve.NotCarried;
import app.jubek.formats.sieve.ServerClock;
import java.nio.file.Path;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
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

    @Option(
            names = "--same-zone",
            description = "the mail server's clock shows the time of the mailbox: when rules are active is written to"
                    + " Sieve, too, as tests of the current date; else such rules are left out")
    private boolean sameZone;

    @Option(
            names = "--opening",
            paramLabel = "SPANS",
            description = "the opening hours of the mailbox, like \"monday 9:00-17:00,tuesday 9:00-17:00\"; a script"
                    + " knows no closed days")
    private Optional<String> opening = Optional.empty();

    @CommandLine.Mixin
    private WeeklyHours hours = new WeeklyHours();

    @CommandLine.Spec
    private CommandLine.Model.CommandSpec spec;

    @Override
    public Integer call() {
        RuleFile rules = RuleFile.read(from);
        List<NotCarried> lost = new ArrayList<>(rules.notCarried());
        lost.addAll(RuleFile.write(rules.book(), clock(), to));
        lost.forEach(note -> spec.commandLine().getErr().println("not carried: " + note));
        return lost.isEmpty() ? 0 : Jubek.NOT_ALL;
    }

    /** Spans are read by the clock on the wall: the zone does not matter. */
    private ServerClock clock() {
        return new ServerClock(
                sameZone,
                opening.map(spans -> hours.spans("--opening", spans, ZoneOffset.UTC)),
                hours.named(ZoneOffset.UTC));
    }
}
