package app.jubek.cli;

import app.jubek.core.decide.CompiledBook;
import app.jubek.core.decide.Decision;
import app.jubek.core.decide.Engine;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.reading.MessageReading;
import app.jubek.core.text.Limits;
import app.jubek.core.wording.Wording;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.Instant;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** Says for each message what rules would do with it; nothing is done. */
@Command(
        name = "decide",
        description = "Says for each message what the rules would do with it, one JSON object on one line. Nothing is"
                + " done. All destinations count as confirmed, and nobody as answered before.",
        mixinStandardHelpOptions = true,
        footer = {
            "",
            "Examples:",
            "  jubek decide --rules rules.json --mail message.eml --me visits@ostrel-gardens.example",
            "  jubek decide --rules rules.sieve --mail archive.mbox --at 2026-05-04T09:00:00Z --explain",
            "  jubek decide --rules rules.sieve --mail folder --text | less"
        })
final class Decide implements Callable<Integer> {
    @Option(names = "--rules", required = true, paramLabel = "FILE", description = "rules, .json or .sieve")
    private Path rules = Path.of("");

    @Option(
            names = "--mail",
            required = true,
            paramLabel = "PATH",
            description = "an .eml, an mbox, or a folder of them")
    private Path mail = Path.of("");

    @Option(
            names = "--at",
            paramLabel = "INSTANT|now",
            description = "judges each message as if it came in then, like 2026-05-04T09:00:00Z; without it, by its"
                    + " topmost Received field, else its Date")
    private Optional<String> at = Optional.empty();

    @Mixin
    private Office office = new Office();

    @Option(names = "--explain", description = "adds what each rule made of the message")
    private boolean explain;

    @Option(names = "--text", description = "prints for people instead of JSON")
    private boolean text;

    @CommandLine.Spec
    private CommandLine.Model.CommandSpec spec;

    private final Clock clock = Clock.systemUTC();
    private final MessageReading reading = new MessageReading(Limits.standard());

    @Override
    public Integer call() {
        Optional<Instant> fixed = at.map(this::instant);
        RuleFile file = office.rules(rules);
        PrintWriter err = spec.commandLine().getErr();
        file.notCarried().forEach(note -> err.println("not carried: " + note));
        CompiledBook book = CompiledBook.of(file.book());
        Progress progress = new Progress(err);
        MailSource.each(mail, (name, bytes) -> {
            ReadMessage message = reading.read(bytes);
            Instant now = fixed.or(message::receivedByItself).orElseGet(clock::instant);
            tell(name, message, Engine.decide(book, message, office.context(now, false)));
            progress.one();
        });
        progress.done();
        return 0;
    }

    private void tell(String name, ReadMessage message, Decision decision) {
        PrintWriter out = spec.commandLine().getOut();
        String id = message.messageId().orElse(name);
        if (text) {
            out.println(id + "  " + message.subject());
            decision.statements()
                    .forEach(line -> out.println("  " + Wording.english().of(line)));
        } else {
            out.println(DecisionJson.write(id, message, decision, explain));
        }
    }

    private Instant instant(String written) {
        try {
            return written.equals("now") ? clock.instant() : Instant.parse(written);
        } catch (DateTimeException notOne) {
            throw wrong("--at wants an instant like 2026-05-04T09:00:00Z, or now, not \"" + written + "\"");
        }
    }

    private CommandLine.ParameterException wrong(String what) {
        return new CommandLine.ParameterException(spec.commandLine(), what);
    }
}
