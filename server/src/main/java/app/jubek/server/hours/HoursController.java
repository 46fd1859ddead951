package app.jubek.server.hours;

import app.jubek.core.schedule.Opening;
import app.jubek.server.account.Allowed;
import app.jubek.server.account.SignedIn;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.Mailboxes;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Hours and closed days, and what they make of rules. */
@RestController
class HoursController {
    private final NamedHours hours;
    private final ClosedDays closed;
    private final Mailboxes mailboxes;

    HoursController(NamedHours hours, ClosedDays closed, Mailboxes mailboxes) {
        this.hours = hours;
        this.closed = closed;
        this.mailboxes = mailboxes;
    }

    /**
     * @param spans as in "MONDAY 09:00-17:00"
     * @param usedBy names of rules
     */
    record NamedHoursView(String name, String zone, List<String> spans, List<String> usedBy) {}

    /**
     * @param opening the hours without a name, as the settings have them
     * @param files that calendars may be read from
     */
    record TimesView(
            NamedHoursView opening,
            List<NamedHoursView> hours,
            List<ClosedDays.Calendar> calendars,
            List<String> files) {}

    /**
     * @param zone that of the mailbox, when it is left out
     */
    record HoursText(Optional<String> zone, List<String> spans) {
        Opening of(Mailbox mailbox) {
            return NamedHours.read(zone.orElseGet(() -> mailbox.zone().getId()), spans);
        }
    }

    /**
     * @param file in the folder for calendars; else the text
     */
    record CalendarText(String name, Optional<String> file, Optional<String> text) {}

    @GetMapping("/api/mailboxes/{mailbox}/hours")
    TimesView times(@Allowed UUID mailbox) {
        Opening opening = mailboxes.find(mailbox).opening();
        return new TimesView(
                view("", opening, List.of()),
                opening.others().entrySet().stream()
                        .sorted((one, other) -> one.getKey().compareToIgnoreCase(other.getKey()))
                        .map(one -> view(one.getKey(), one.getValue(), hours.usedBy(mailbox, one.getKey())))
                        .toList(),
                closed.of(mailbox),
                closed.files());
    }

    private static NamedHoursView view(String name, Opening hours, List<String> usedBy) {
        return new NamedHoursView(name, hours.zone().getId(), hours.written(), usedBy);
    }

    /** When each rule with a schedule is active, and when that changes. */
    @GetMapping("/api/mailboxes/{mailbox}/rule-times")
    List<NamedHours.RuleTime> ruleTimes(@Allowed UUID mailbox) {
        return hours.times(mailbox);
    }

    /** What these hours would make of the rules that use them. */
    @PostMapping("/api/mailboxes/{mailbox}/hours/effects")
    List<NamedHours.Effect> effectsOfHours(
            @Allowed UUID mailbox, @RequestParam String name, @RequestBody HoursText wanted) {
        return hours.effects(mailbox, name, wanted.of(mailboxes.find(mailbox)));
    }

    @PutMapping("/api/mailboxes/{mailbox}/hours")
    TimesView saveHours(
            @Allowed UUID mailbox,
            @RequestParam String name,
            @RequestBody HoursText wanted,
            @AuthenticationPrincipal SignedIn who) {
        hours.save(mailbox, name, wanted.of(mailboxes.find(mailbox)), who.shownName());
        return times(mailbox);
    }

    @DeleteMapping("/api/mailboxes/{mailbox}/hours")
    TimesView removeHours(@Allowed UUID mailbox, @RequestParam String name, @AuthenticationPrincipal SignedIn who) {
        hours.remove(mailbox, name, who.shownName());
        return times(mailbox);
    }

    @PostMapping("/api/mailboxes/{mailbox}/closed-days")
    TimesView takeClosedDays(
            @Allowed UUID mailbox, @RequestBody CalendarText in, @AuthenticationPrincipal SignedIn who) {
        closed.take(mailbox, in.name(), in.file(), in.text(), who.shownName());
        return times(mailbox);
    }

    @DeleteMapping("/api/mailboxes/{mailbox}/closed-days/{calendar}")
    TimesView removeClosedDays(
            @Allowed UUID mailbox, @PathVariable UUID calendar, @AuthenticationPrincipal SignedIn who) {
        closed.remove(mailbox, calendar, who.shownName());
        return times(mailbox);
    }
}
