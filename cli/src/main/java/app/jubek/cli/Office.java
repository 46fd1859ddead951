package app.jubek.cli;

import app.jubek.core.address.MailAddress;
import app.jubek.core.decide.DecisionContext;
import app.jubek.core.people.AddressBook;
import app.jubek.core.people.OwnSide;
import app.jubek.core.safety.HopMark;
import app.jubek.core.schedule.Opening;
import app.jubek.core.view.MessageContext;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import picocli.CommandLine;
import picocli.CommandLine.Option;

/** Whose mailbox it is, and where. */
final class Office {
    private static final int KEY = 32;

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

    @CommandLine.Spec(CommandLine.Spec.Target.MIXEE)
    private CommandLine.Model.CommandSpec spec;

    /** What a decision needs beside its message: nobody was answered before, and everybody has agreed. */
    DecisionContext context(Instant at, boolean conversation) {
        OwnSide own = own();
        ZoneId in = zone.map(this::zoneId).orElse(ZoneId.systemDefault());
        MessageContext context = new MessageContext(
                own,
                AddressBook.empty(),
                at,
                at,
                in,
                conversation,
                own.identity().address(),
                "INBOX",
                false);
        return DecisionContext.tryingOut(context, Opening.usual(in), new HopMark(new byte[KEY]));
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
