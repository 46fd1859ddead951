package app.jubek.server.records;

import app.jubek.server.platform.Refused;
import app.jubek.server.queue.Outbox;
import app.jubek.server.step.StepView;
import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import jakarta.persistence.EntityManager;
import jakarta.persistence.TypedQuery;
import java.time.Instant;
import java.time.format.DateTimeParseException;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Looks for steps by anything that is known of them, the newest first. */
@Component
@Transactional(readOnly = true)
public class RecordSearch {
    /** Beyond that nobody needs to know how many there are. */
    static final int COUNTED = 10_000;

    private static final String ORDER = " order by s.plannedAt desc, s.messageId desc, s.position desc";

    private final EntityManager entities;
    private final Outbox outbox;

    RecordSearch(EntityManager entities, Outbox outbox) {
        this.entities = entities;
        this.outbox = outbox;
    }

    /** Where a page ended: what comes after it was planned before. */
    public record Place(Instant plannedAt, long message, int position) {
        private static final Pattern WRITTEN = Pattern.compile("([^,]{10,40}),(\\d{1,18}),(\\d{1,9})");

        /** As an address has it. */
        String written() {
            return plannedAt + "," + message + "," + position;
        }

        /**
         * Empty for an empty text, the beginning.
         *
         * @throws Refused when it is no such place
         */
        static Optional<Place> read(String written) {
            if (written.isEmpty()) {
                return Optional.empty();
            }
            Matcher parts = WRITTEN.matcher(written);
            try {
                if (parts.matches()) {
                    return Optional.of(new Place(
                            Instant.parse(parts.group(1)),
                            Long.parseLong(parts.group(2)),
                            Integer.parseInt(parts.group(3))));
                }
            } catch (DateTimeParseException noInstant) {
                throw noPlace(written);
            }
            throw noPlace(written);
        }

        private static Refused noPlace(String written) {
            return Refused.invalid(
                    "“" + written + "” is no place to go on from. Begin with the first page.", List.of());
        }
    }

    /**
     * @param next where to go on; empty when there is no more
     */
    public record Page(List<StepView> steps, Optional<Place> next) {}

    /** A step where it stands in the order. */
    record Found(UUID id, Instant plannedAt, long message, int position) {
        Place place() {
            return new Place(plannedAt, message, position);
        }
    }

    public Page page(UUID mailbox, RecordFilter filter, Optional<Place> after, int limit) {
        RecordFilter.Condition condition = filter.condition();
        Map<String, Object> values = new HashMap<>(condition.values());
        String on = after.map(place -> {
                    values.put("at", place.plannedAt());
                    values.put("message", place.message());
                    values.put("position", place.position());
                    return " and s.plannedAt <= :at and (s.plannedAt < :at or s.messageId < :message"
                            + " or s.messageId = :message and s.position < :position)";
                })
                .orElse("");
        List<Found> found = query(
                        "select new app.jubek.server.records.RecordSearch$Found(s.id, s.plannedAt, s.messageId, s.position)"
                                + filter.source() + condition.text() + on + ORDER,
                        Found.class,
                        mailbox,
                        values)
                .setMaxResults(limit + 1)
                .getResultList();
        List<Found> shown = found.subList(0, Math.min(limit, found.size()));
        Map<UUID, StepView> views =
                outbox.views(mailbox, shown.stream().map(Found::id).toList());
        return new Page(
                shown.stream().map(one -> views.get(one.id())).toList(),
                found.size() > limit ? Optional.of(shown.get(shown.size() - 1).place()) : Optional.empty());
    }

    /**
     * How many there are.
     *
     * @param more than that
     */
    public record RecordCount(int records, boolean more) {}

    public RecordCount count(UUID mailbox, RecordFilter filter) {
        RecordFilter.Condition condition = filter.condition();
        int found = query(
                        "select count(x.id) from (select s.id as id" + filter.source() + condition.text()
                                + " order by s.plannedAt desc limit "
                                + (COUNTED + 1) + ") x",
                        Long.class,
                        mailbox,
                        condition.values())
                .getSingleResult()
                .intValue();
        return new RecordCount(Math.min(found, COUNTED), found > COUNTED);
    }

    private <T> TypedQuery<T> query(String text, Class<T> type, UUID mailbox, Map<String, Object> values) {
        TypedQuery<T> query = entities.createQuery(text, type).setParameter("mailbox", mailbox);
        values.forEach(query::setParameter);
        return query;
    }
}
