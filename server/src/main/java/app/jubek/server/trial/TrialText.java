package app.jubek.server.trial;

import app.jubek.core.address.MailAddress;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.message.Role;
import app.jubek.core.people.OwnSide;
import app.jubek.core.trial.Blanking;
import app.jubek.core.trial.EditedCopy;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;

/** What a person can write anew of a trial's message. */
record TrialText(String from, String to, String subject, String text) {
    static TrialText of(ReadMessage message) {
        return of(message, UnaryOperator.identity(), UnaryOperator.identity());
    }

    /** With names, addresses and long numbers taken out. */
    static TrialText blanked(ReadMessage message, OwnSide own) {
        Blanking blanking = Blanking.of(message, own);
        return of(message, blanking::address, blanking::text);
    }

    private static TrialText of(ReadMessage message, UnaryOperator<MailAddress> people, UnaryOperator<String> words) {
        return new TrialText(
                written(message, Role.FROM, people),
                written(message, Role.TO, people),
                words.apply(message.subject()),
                words.apply(String.join("\n\n", message.texts())));
    }

    private static String written(ReadMessage message, Role role, UnaryOperator<MailAddress> people) {
        return message.in(role).stream().map(people).map(MailAddress::inFull).collect(Collectors.joining(", "));
    }

    EditedCopy copy() {
        return new EditedCopy(from, to, subject, text);
    }
}
