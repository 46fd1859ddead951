package app.jubek.server.hours;

import app.jubek.formats.calendar.ClosedDaysFile;
import app.jubek.server.platform.JubekProperties;
import app.jubek.server.platform.Refused;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** The folder that the operator has set for calendar files; nothing outside it is ever read. */
@Component
class CalendarFolder {
    private static final int MOST_SHOWN = 200;

    private final Optional<Path> folder;

    CalendarFolder(JubekProperties properties) {
        this.folder = properties.calendars();
    }

    /** The names of the files in it. */
    List<String> files() {
        if (folder.isEmpty()) {
            return List.of();
        }
        try (Stream<Path> all = Files.list(folder.get())) {
            return all.filter(this::isCalendar)
                    .map(file -> file.getFileName().toString())
                    .sorted()
                    .limit(MOST_SHOWN)
                    .toList();
        } catch (IOException unreadable) {
            return List.of();
        }
    }

    private boolean isCalendar(Path file) {
        return Files.isRegularFile(file)
                && file.getFileName().toString().toLowerCase(Locale.ROOT).endsWith(".ics");
    }

    /**
     * @throws Refused when there is no such file, or it can't be read
     */
    String read(String name) {
        try {
            Path within = folder.orElseThrow(() -> noFile(name)).toRealPath();
            Path file = within.resolve(name).toRealPath();
            if (!within.equals(file.getParent()) || !isCalendar(file)) {
                throw noFile(name);
            }
            if (Files.size(file) > ClosedDaysFile.LARGEST) {
                throw Refused.invalid("“" + name + "” is larger than 1 MB.", List.of());
            }
            return Files.readString(file, StandardCharsets.UTF_8);
        } catch (IOException | IllegalArgumentException unreadable) {
            throw noFile(name);
        }
    }

    private static Refused noFile(String name) {
        return Refused.invalid(
                "There is no calendar file “" + name + "” that can be read in the folder for calendars.", List.of());
    }
}
