package app.jubek.server.hours;

import app.jubek.core.rule.Rule;
import app.jubek.core.rule.SettingChange;
import app.jubek.core.schedule.Opening;
import app.jubek.core.schedule.Schedule;
import app.jubek.core.wording.Statement;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.platform.Refused;
import app.jubek.server.rulebook.BeforeSaving;
import app.jubek.server.rulebook.RuleBooks;
import app.jubek.server.setting.SettingChanges;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Hours that rules share by their name, and when rules are active. */
@Service
public class NamedHours implements BeforeSaving {
    private static final int MOST = 50;
    private static final int MOST_SPANS = 70;
    private static final int LONGEST_NAME = 100;

    private final Mailboxes mailboxes;
    private final RuleBooks books;
    private final SettingChanges changes;
    private final Clock clock;

    NamedHours(Mailboxes mailboxes, RuleBooks books, SettingChanges changes, Clock clock) {
        this.mailboxes = mailboxes;
        this.books = books;
        this.changes = changes;
        this.clock = clock;
    }

    /**
     * When a rule with a schedule is active.
     *
     * @param next when that changes; empty when it never does within ten years
     * @param told its schedule in words
     */
    record RuleTime(String rule, String name, boolean on, boolean active, Optional<Instant> next, Statement told) {}

    /**
     * What other hours would make of a rule.
     *
     * @param active now, as it is and as it would be
     */
    record Effect(
            String rule,
            String name,
            boolean active,
            Optional<Instant> next,
            boolean wouldBeActive,
            Optional<Instant> wouldChange) {}

    /** Of the rules that are active at times only, in their order. */
    List<RuleTime> times(UUID mailbox) {
        Opening opening = mailboxes.find(mailbox).opening();
        return rules(mailbox)
                .filter(rule -> !rule.equals(rule.always()))
                .map(rule -> time(rule, opening))
                .toList();
    }

    private RuleTime time(Rule rule, Opening opening) {
        Instant now = clock.instant();
        return new RuleTime(
                rule.id().value(),
                rule.name(),
                rule.on(),
                rule.schedule().isActive(now, opening),
                rule.schedule().nextChange(now, opening),
                rule.schedule().statement());
    }

    List<String> usedBy(UUID mailbox, String name) {
        return using(mailbox, name).map(Rule::name).toList();
    }

    private Stream<Rule> using(UUID mailbox, String name) {
        return rules(mailbox).filter(rule -> rule.hours().anyMatch(name::equals));
    }

    private Stream<Rule> rules(UUID mailbox) {
        return books.current(mailbox).book().rules().stream();
    }

    /** What these hours would make of the rules that use them, before anything is saved. */
    List<Effect> effects(UUID mailbox, String name, Opening hours) {
        Opening before = mailboxes.find(mailbox).opening();
        Opening after = before.with(before.closed(), with(before, name, hours));
        Instant now = clock.instant();
        return using(mailbox, name)
                .filter(rule -> !rule.schedule().equals(Schedule.ALWAYS))
                .map(rule -> new Effect(
                        rule.id().value(),
                        rule.name(),
                        rule.schedule().isActive(now, before),
                        rule.schedule().nextChange(now, before),
                        rule.schedule().isActive(now, after),
                        rule.schedule().nextChange(now, after)))
                .toList();
    }

    private static Map<String, Opening> with(Opening before, String name, Opening hours) {
        Map<String, Opening> all = new HashMap<>(before.others());
        all.put(name, hours);
        return all;
    }

    /**
     * Hours as people write them.
     *
     * @throws Refused naming what is wrong
     */
    static Opening read(String zone, List<String> spans) {
        if (spans.isEmpty() || spans.size() > MOST_SPANS) {
            throw Refused.invalid("Give 1 to " + MOST_SPANS + " spans of a week.", List.of());
        }
        try {
            return Opening.of(ZoneId.of(zone), spans);
        } catch (DateTimeException noZone) {
            throw Refused.invalid("“" + zone + "” is no time zone: write it like Europe/Stockholm.", List.of());
        } catch (IllegalArgumentException noSpan) {
            throw Refused.invalid(String.valueOf(noSpan.getMessage()), List.of());
        }
    }

    /**
     * @param spans as {@link Opening#of} reads them
     * @throws Refused naming what is wrong
     */
    @Transactional
    public void save(UUID mailbox, String name, ZoneId zone, List<String> spans, String who) {
        save(mailbox, name, read(zone.getId(), spans), who);
    }

    @Transactional
    void save(UUID mailbox, String name, Opening hours, String who) {
        String called = name.strip();
        if (called.isEmpty() || called.length() > LONGEST_NAME) {
            throw Refused.invalid("Give the hours a name of 1 to 100 characters.", List.of());
        }
        mailboxes.lock(mailbox);
        Mailbox of = mailboxes.find(mailbox);
        Map<String, Opening> all = with(of.opening(), called, hours);
        if (all.size() > MOST) {
            throw Refused.invalid("A mailbox has at most " + MOST + " hours with a name.", List.of());
        }
        mailboxes.keepTimes(mailbox, all, of.opening().closed());
        changes.note(mailbox, who, SettingChange.HOURS_SAVED.with(called));
    }

    /**
     * @throws Refused while rules use them
     */
    @Transactional
    void remove(UUID mailbox, String name, String who) {
        mailboxes.lock(mailbox);
        Opening opening = mailboxes.find(mailbox).opening();
        List<String> users = usedBy(mailbox, name);
        if (!users.isEmpty()) {
            throw Refused.invalid(
                    "“" + name + "” are the hours of " + String.join(", ", users) + ": give them others first.",
                    List.of());
        }
        Map<String, Opening> all = new HashMap<>(opening.others());
        if (all.remove(name) == null) {
            throw Refused.notFound();
        }
        mailboxes.keepTimes(mailbox, all, opening.closed());
        changes.note(mailbox, who, SettingChange.HOURS_REMOVED.with(name));
    }

    /** A rule of unknown hours would rest for good, and what it sends by them would wait for a person. */
    @Override
    public List<Statement> check(Saving saving) {
        Map<String, Opening> known = mailboxes.find(saving.mailbox()).opening().others();
        saving.wanted().all().stream()
                .filter(Rule::on)
                .forEach(rule -> rule.hours()
                        .filter(name -> !known.containsKey(name))
                        .findFirst()
                        .ifPresent(name -> {
                            throw Refused.invalid(
                                    "The rule “" + rule.name() + "” goes by the hours “" + name
                                            + "”, which this mailbox does not have: add them in Setup, or choose others.",
                                    List.of());
                        }));
        return List.of();
    }
}
