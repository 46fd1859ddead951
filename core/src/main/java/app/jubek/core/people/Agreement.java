package app.jubek.core.people;

import java.time.Duration;
import java.time.Period;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;

/**
 * Whether an address has agreed to get a mailbox's mail. Nothing reaches one outside our own domains before; one inside
 * is told, and may object. This table alone says what may become of it.
 */
public enum Agreement {
    /** A request went to it, or is about to, and it has not answered. */
    ASKED,
    CONFIRMED,
    /** A named person answers for an address that can't answer itself. */
    VOUCHED_FOR,
    /** It said no, or stopped later. Only the destination itself takes that back. */
    DECLINED,
    /** It agreed too long ago, or mail does not get there. */
    LAPSED,
    /** In a domain of ours: it gets mail without having agreed, and is told so once. */
    TOLD,
    /** In a domain of ours: it was told, and said no. */
    OBJECTED;

    /** How long an agreement holds. */
    public static final Period LASTS = Period.ofMonths(12);

    /** How long a request can be agreed to. It can be declined at any time. */
    public static final Duration REQUEST_LASTS = Duration.ofDays(7);

    /** Messages in a row that did not get there, after which nothing goes there before it agrees again. */
    public static final int FAILURES = 3;

    /** What may happen to it. */
    public enum Event {
        ASKED,
        AGREED,
        DECLINED,
        VOUCHED_FOR,
        LAPSED,
        UNREACHED,
        TOLD
    }

    private static final Map<Agreement, Map<Event, Agreement>> TABLE = new EnumMap<>(Map.of(
            ASKED,
            Map.of(
                    Event.ASKED, ASKED,
                    Event.AGREED, CONFIRMED,
                    Event.DECLINED, DECLINED,
                    Event.VOUCHED_FOR, VOUCHED_FOR),
            CONFIRMED,
            Map.of(
                    Event.ASKED, CONFIRMED,
                    Event.AGREED, CONFIRMED,
                    Event.DECLINED, DECLINED,
                    Event.LAPSED, LAPSED,
                    Event.UNREACHED, LAPSED),
            VOUCHED_FOR,
            Map.of(
                    Event.AGREED, CONFIRMED,
                    Event.DECLINED, DECLINED,
                    Event.VOUCHED_FOR, VOUCHED_FOR,
                    Event.LAPSED, LAPSED,
                    Event.UNREACHED, LAPSED),
            DECLINED,
            Map.of(Event.AGREED, CONFIRMED, Event.DECLINED, DECLINED),
            LAPSED,
            Map.of(
                    Event.ASKED, ASKED,
                    Event.AGREED, CONFIRMED,
                    Event.DECLINED, DECLINED,
                    Event.VOUCHED_FOR, VOUCHED_FOR),
            TOLD,
            Map.of(
                    // Its domain is ours no more.
                    Event.ASKED, ASKED,
                    Event.TOLD, TOLD,
                    Event.DECLINED, OBJECTED),
            OBJECTED,
            Map.of(Event.AGREED, TOLD, Event.DECLINED, OBJECTED)));

    /** What becomes of it; empty when that may not happen. */
    public Optional<Agreement> after(Event event) {
        return Optional.ofNullable(TABLE.get(this).get(event));
    }

    /** Whether mail may reach an address outside. */
    public boolean isGiven() {
        return this == CONFIRMED || this == VOUCHED_FOR;
    }

    /** Whether no mail may reach an address, wherever it is. */
    public boolean isRefused() {
        return this == DECLINED || this == OBJECTED;
    }

    /**
     * Whether mail may reach an address.
     *
     * @param inside in a domain of ours
     */
    public boolean allows(boolean inside) {
        return inside ? !isRefused() : isGiven();
    }
}
