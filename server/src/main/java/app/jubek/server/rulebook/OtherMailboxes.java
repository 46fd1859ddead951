package app.jubek.server.rulebook;

import app.jubek.core.address.MailAddress;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.step.TargetFolder;
import app.jubek.server.account.MailboxAccess;
import app.jubek.server.account.SignedIn;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.platform.Refused;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Rules may file in other mailboxes; who says so has to be one of the people of that mailbox, too. */
@Component
class OtherMailboxes {
    private final Mailboxes mailboxes;
    private final MailboxAccess access;

    OtherMailboxes(Mailboxes mailboxes, MailboxAccess access) {
        this.mailboxes = mailboxes;
        this.access = access;
    }

    /**
     * What was in the book before stays, whoever put it there.
     *
     * @throws Refused when a rule newly files in a mailbox that is not one of theirs
     */
    void check(SignedIn who, UUID mailbox, RuleBook before, RuleBook wanted) {
        Set<MailAddress> known =
                before.all().stream().flatMap(OtherMailboxes::named).collect(Collectors.toSet());
        List<UUID> theirs = access.mailboxes(who);
        for (Rule rule : wanted.all()) {
            named(rule)
                    .filter(address -> !known.contains(address))
                    .filter(address -> mailboxes
                            .writingAs(address)
                            .filter(other -> !other.id().equals(mailbox) && theirs.contains(other.id()))
                            .isEmpty())
                    .findFirst()
                    .ifPresent(address -> refuse(rule, address, others(theirs, mailbox)));
        }
    }

    private static Stream<MailAddress> named(Rule rule) {
        return rule.steps().stream().flatMap(step -> TargetFolder.of(step).flatMap(TargetFolder::mailbox).stream());
    }

    private String others(List<UUID> theirs, UUID mailbox) {
        return mailboxes.all().stream()
                .filter(other -> theirs.contains(other.id()) && !other.id().equals(mailbox))
                .map(Mailbox::own)
                .map(own -> own.identity().address())
                .collect(Collectors.joining(", "));
    }

    private static void refuse(Rule rule, MailAddress address, String others) {
        String way = others.isEmpty() ? "Choose a folder of this mailbox." : "You may choose " + others + ".";
        throw Refused.invalid(
                "“" + rule.name() + "” files in " + address.address() + ", which is not another mailbox of yours. "
                        + way,
                List.of());
    }
}
