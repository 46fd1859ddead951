package app.jubek.cli;

import app.jubek.core.address.MailAddress;
import app.jubek.core.decide.CompiledBook;
import app.jubek.core.decide.Decision;
import app.jubek.core.decide.DecisionContext;
import app.jubek.core.decide.Engine;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.people.AddressBook;
import app.jubek.core.people.OwnSide;
import app.jubek.core.reading.MessageReading;
import app.jubek.core.safety.HopMark;
import app.jubek.core.schedule.Opening;
import app.jubek.core.text.Limits;
import app.jubek.core.view.MessageContext;
import app.jubek.core.wording.Wording;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine;
import picocli.CommandLine.Command;
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

    @Option(
            names = "--zone",
            paramLabel = "ZONE",
            description =
                    "time zone, like Europe/Stockholm; else the system's. Opening hours count as Monday to Friday,"
                            + " 9 to 17 o'clock there")
    private Optional<String> zone = Optional.empty();

    @Option(
            names = "--me",
            paramLabel = "ADDRESS",
            description = "an address of the mailbox; may be given several times")
    private List<String> me = new ArrayList<>();

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
        ZoneId in = zone.map(this::zoneId).orElse(ZoneId.systemDefault());
        OwnSide own = own();
        RuleFile file = RuleFile.read(rules);
        PrintWriter err = spec.commandLine().getErr();
        file.notCarried().forEach(note -> err.println("not carried: " + note));
        CompiledBook book = CompiledBook.of(file.book());
        Progress progress = new Progress(err);
        MailSource.each(mail, (name, bytes) -> {
            ReadMessage message = reading.read(bytes);
            Instant now = fixed.or(message::receivedByItself).orElseGet(clock::instant);
            tell(name, message, Engine.decide(book, message, context(own, now, in)));
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

    private static DecisionContext context(OwnSide own, Instant at, ZoneId zone) {
        String mailbox = own.identity().address();
        MessageContext context =
                new MessageContext(own, AddressBook.empty(), at, at, zone, false, mailbox, "INBOX", false);
        return DecisionContext.tryingOut(context, Opening.usual(zone), new HopMark(new byte[32]));
    }

    private Instant instant(String written) {
        try {
            return written.equals("now") ? clock.instant() : Instant.parse(written);
        } catch (DateTimeException notOne) {
            throw wrong("--at wants an instant like 2026-05-04T09:00:00Z, or now, not \"" + written + "\"");
        }
    }

    private ZoneId zoneId(String written) {
        try {
            return ZoneId.of(written);
        } catch (DateTimeException notOne) {
            throw wrong("--zone wants a zone like Europe/Stockholm, not \"" + written + "\"");
        }
    }

    private OwnSide own() {
        try {
            List<MailAddress> own = me.stream().map(MailAddress::of).toList();
            MailAddress identity = own.isEmpty() ? new MailAddress("", "nobody", "invalid") : own.get(0);
            return new OwnSide(
                    identity,
                    own,
                    own.stream().map(MailAddress::domain).distinct().toList());
        } catch (IllegalArgumentException refused) {
            throw wrong("--me: " + refused.getMessage());
        }
    }

    private CommandLine.ParameterException wrong(String what) {
        return new CommandLine.ParameterException(spec.commandLine(), what);
    }
}
