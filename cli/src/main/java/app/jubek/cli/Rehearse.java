package app.jubek.cli;

import app.jubek.core.corpus.Corpus;
import app.jubek.core.corpus.PastMessage;
import app.jubek.core.decide.DecisionContext;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.reading.MessageReading;
import app.jubek.core.rehearsal.Rehearsal;
import app.jubek.core.rehearsal.Side;
import app.jubek.core.rehearsal.Watch;
import app.jubek.core.text.Limits;
import app.jubek.core.view.MessageView;
import app.jubek.core.wording.Wording;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.time.Instant;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** Two files of rules over the same mail; nothing is done. */
@Command(
        name = "rehearse",
        description = "Compares what two files of rules do with the same mail, each message judged when it came in."
                + " Nothing is done. Exit status 1: some messages change hands.",
        mixinStandardHelpOptions = true,
        footer = {
            "",
            "Example:",
            "  jubek rehearse --rules now.json --other then.json --mail archive.mbox --me visits@ostrel-gardens.example"
        })
final class Rehearse implements Callable<Integer> {
    private static final int SETS = 2_000;

    @Option(names = "--rules", required = true, paramLabel = "FILE", description = "rules of now, .json or .sieve")
    private Path rules = Path.of("");

    @Option(names = "--other", required = true, paramLabel = "FILE", description = "the others, .json or .sieve")
    private Path other = Path.of("");

    @Option(
            names = "--mail",
            required = true,
            paramLabel = "PATH",
            description = "an .eml, an mbox, or a folder of them")
    private Path mail = Path.of("");

    @Mixin
    private Office office = new Office();

    @CommandLine.Spec
    private CommandLine.Model.CommandSpec spec;

    private final MessageReading reading = new MessageReading(Limits.standard());

    @Override
    public Integer call() {
        DecisionContext at = office.context(Instant.EPOCH, false);
        Side now = side(rules, at);
        Side then = side(other, at);
        Rehearsal made = Rehearsal.of(past(at), now, then, Watch.NOBODY).orElseThrow();
        PrintWriter out = spec.commandLine().getOut();
        int changing = made.changing().cardinality();
        out.println(made.past().size() + " messages, " + changing + " change hands");
        made.flows().stream()
                .filter(Rehearsal.Flow::changes)
                .forEach(flow ->
                        out.println("  " + flow.messages() + "  " + said(flow.from()) + " -> " + said(flow.to())));
        return changing == 0 ? 0 : Jubek.DIFFERS;
    }

    private Side side(Path path, DecisionContext at) {
        RuleFile file = office.rules(path);
        file.notCarried().forEach(note -> spec.commandLine().getErr().println("not carried: " + note));
        return new Side(file.book(), at);
    }

    private Corpus.View past(DecisionContext at) {
        Corpus corpus = new Corpus(SETS, Long.MAX_VALUE);
        Progress progress = new Progress(spec.commandLine().getErr());
        MailSource.each(mail, (name, bytes) -> {
            ReadMessage message = reading.read(bytes);
            Instant received = message.receivedByItself().orElse(Instant.EPOCH);
            MessageView seen = new MessageView(message, at.context().cameIn(received));
            corpus.add(new PastMessage(corpus.size(), received, seen));
            progress.one();
        });
        progress.done();
        return corpus.since(Instant.MIN);
    }

    private static String said(Side.Fate fate) {
        return fate.statements().stream().map(Wording.english()::of).collect(Collectors.joining(", "));
    }
}
