package app.jubek.server.hours;

import app.jubek.core.rule.SettingChange;
import app.jubek.formats.calendar.ClosedDaysFile;
import app.jubek.formats.rulebook.FormatException;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.platform.Border;
import app.jubek.server.platform.Refused;
import app.jubek.server.setting.SettingChanges;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** The calendars of closed days of each mailbox; those that stand in files are read again every day. */
@Service
public class ClosedDays {
    private static final Logger LOG = LoggerFactory.getLogger(ClosedDays.class);
    /** Kept trials are judged at their own instant. */
    private static final int YEARS_BACK = 10;

    private static final int YEARS_AHEAD = 11;
    private static final int MOST = 20;
    private static final int LONGEST_NAME = 100;

    private final ClosedCalendarRepository calendars;
    private final CalendarFolder folder;
    private final Mailboxes mailboxes;
    private final SettingChanges changes;
    private final TransactionTemplate transaction;
    private final Clock clock;

    ClosedDays(
            ClosedCalendarRepository calendars,
            CalendarFolder folder,
            Mailboxes mailboxes,
            SettingChanges changes,
            TransactionTemplate transaction,
            Clock clock) {
        this.calendars = calendars;
        this.folder = folder;
        this.mailboxes = mailboxes;
        this.changes = changes;
        this.transaction = transaction;
        this.clock = clock;
    }

    /**
     * @param file that it is read from every day
     * @param fault why it could not be read the last time
     * @param next the closed days that come next
     * @param leftOut events of it that take no whole days
     */
    public record Calendar(
            UUID id,
            String name,
            Optional<String> file,
            Instant readAt,
            Optional<String> fault,
            List<ClosedDaysFile.ClosedDay> next,
            int leftOut) {}

    /** The calendars with their days from today on. */
    @Transactional(readOnly = true)
    public List<Calendar> of(UUID mailbox) {
        return of(
                mailbox,
                LocalDate.ofInstant(clock.instant(), mailboxes.find(mailbox).zone()));
    }

    /**
     * @param from the first day that is looked at
     */
    @Transactional(readOnly = true)
    public List<Calendar> of(UUID mailbox, LocalDate from) {
        return calendars.findByMailboxIdOrderByName(mailbox).stream()
                .map(one -> calendar(one, from))
                .toList();
    }

    private static Calendar calendar(ClosedCalendarEntity one, LocalDate today) {
        ClosedDaysFile.ClosedDays days = ClosedDaysFile.read(one.content(), today, today.plusYears(YEARS_AHEAD));
        return new Calendar(one.id(), one.name(), one.file(), one.readAt(), one.fault(), days.days(), days.leftOut());
    }

    List<String> files() {
        return folder.files();
    }

    /**
     * Takes a calendar in.
     *
     * @param text of the calendar, where it is not read from a file
     * @throws Refused when the name is taken, or the file is not there
     * @throws FormatException with the line that can't be read
     */
    @Transactional
    public void take(UUID mailbox, String name, Optional<String> file, Optional<String> text, String who) {
        String called = name.strip();
        List<ClosedCalendarEntity> all = calendars.findByMailboxIdOrderByName(mailbox);
        if (called.isEmpty() || called.length() > LONGEST_NAME) {
            throw Refused.invalid("Give the calendar a name of 1 to 100 characters.", List.of());
        }
        if (all.stream().anyMatch(one -> one.name().equalsIgnoreCase(called))) {
            throw Refused.invalid(
                    "There is a calendar “" + called + "” already: remove it first, or take another name.", List.of());
        }
        if (all.size() >= MOST) {
            throw Refused.invalid("A mailbox has at most " + MOST + " calendars of closed days.", List.of());
        }
        String content = file.map(folder::read)
                .or(() -> text)
                .orElseThrow(() -> Refused.invalid("Send a calendar, or name a file.", List.of()));
        LocalDate today = LocalDate.now(clock);
        if (ClosedDaysFile.read(content, today.minusYears(YEARS_BACK), today.plusYears(YEARS_AHEAD))
                .days()
                .isEmpty()) {
            throw Refused.invalid(
                    "The calendar closes no day from " + YEARS_BACK + " years ago to " + YEARS_AHEAD
                            + " years ahead: only events that take whole days count.",
                    List.of());
        }
        calendars.saveAndFlush(new ClosedCalendarEntity(mailbox, called, file, content, clock.instant()));
        changes.note(mailbox, who, SettingChange.CALENDAR_SAVED.with(called));
        keep(mailbox);
    }

    @Transactional
    public void remove(UUID mailbox, UUID id, String who) {
        ClosedCalendarEntity calendar =
                calendars.findByIdAndMailboxId(id, mailbox).orElseThrow(Refused::notFound);
        calendars.delete(calendar);
        calendars.flush();
        changes.note(mailbox, who, SettingChange.CALENDAR_REMOVED.with(calendar.name()));
        keep(mailbox);
    }

    @Scheduled(fixedDelay = 24, initialDelay = 0, timeUnit = TimeUnit.HOURS)
    void readAgain() {
        Border.around(this::readFiles).ifPresent(failure -> LOG.warn("calendars: {}", failure.words()));
    }

    /** Reads the files again, and looks a day further ahead; a file that can't be read leaves what was read before. */
    public void readFiles() {
        for (Mailbox mailbox : mailboxes.all()) {
            Border.around(() -> transaction.executeWithoutResult(status -> readFiles(mailbox.id())))
                    .ifPresent(failure -> LOG.warn("calendars of a mailbox: {}", failure.words()));
        }
    }

    private void readFiles(UUID mailbox) {
        List<ClosedCalendarEntity> all = calendars.findByMailboxIdOrderByName(mailbox);
        if (all.isEmpty()) {
            return;
        }
        all.stream().filter(one -> one.file().isPresent()).forEach(this::readFile);
        calendars.flush();
        keep(mailbox);
    }

    private void readFile(ClosedCalendarEntity one) {
        LocalDate today = LocalDate.now(clock);
        try {
            String content = folder.read(one.file().orElseThrow());
            ClosedDaysFile.read(content, today, today.plusYears(YEARS_AHEAD));
            one.readAgain(content, clock.instant());
        } catch (FormatException | Refused unreadable) {
            one.notRead(String.valueOf(unreadable.getMessage()));
            LOG.warn("the calendar file {} can't be read: {}", one.file().orElseThrow(), unreadable.getMessage());
        }
    }

    /** Under the lock, as hours with a name are kept with the closed days. */
    private void keep(UUID id) {
        mailboxes.lock(id);
        Mailbox mailbox = mailboxes.find(id);
        LocalDate today = LocalDate.ofInstant(clock.instant(), mailbox.zone());
        Set<LocalDate> closed = calendars.findByMailboxIdOrderByName(id).stream()
                .flatMap(one ->
                        ClosedDaysFile.read(one.content(), today.minusYears(YEARS_BACK), today.plusYears(YEARS_AHEAD))
                                .days()
                                .stream())
                .map(ClosedDaysFile.ClosedDay::day)
                .collect(Collectors.toSet());
        if (!closed.equals(mailbox.opening().closed())) {
            mailboxes.keepTimes(id, mailbox.opening().others(), closed);
        }
    }
}
