package app.jubek.server.mailbox;

import app.jubek.core.schedule.Opening;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Further hours and closed days beside the opening hours that the settings name.
 *
 * @param hours by their names
 * @param closed as 2026-12-24
 */
record StoredTimes(Map<String, StoredHours> hours, List<String> closed) {
    static final StoredTimes NONE = new StoredTimes(Map.of(), List.of());

    /**
     * @param spans as {@link Opening#of} reads them
     */
    record StoredHours(String zone, List<String> spans) {
        static StoredHours of(Opening hours) {
            return new StoredHours(hours.zone().getId(), hours.written());
        }

        Opening opening() {
            return Opening.of(ZoneId.of(zone), spans);
        }
    }

    static StoredTimes of(Map<String, Opening> hours, Collection<LocalDate> closed) {
        return new StoredTimes(
                hours.entrySet().stream()
                        .collect(Collectors.toMap(Map.Entry::getKey, one -> StoredHours.of(one.getValue()))),
                closed.stream().sorted().map(LocalDate::toString).toList());
    }

    Map<String, Opening> furtherHours() {
        return hours.entrySet().stream()
                .collect(Collectors.toMap(
                        Map.Entry::getKey, one -> one.getValue().opening()));
    }

    Set<LocalDate> closedDays() {
        return closed.stream().map(LocalDate::parse).collect(Collectors.toSet());
    }
}
