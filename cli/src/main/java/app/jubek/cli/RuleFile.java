package app.jubek.cli;

import app.jubek.core.rule.RuleBook;
import app.jubek.formats.calendar.ClosedDaysFile;
import app.jubek.formats.rulebook.Fault;
import app.jubek.formats.rulebook.FormatException;
import app.jubek.formats.rulebook.RuleBookJson;
import app.jubek.formats.sieve.NotCarried;
import app.jubek.formats.sieve.ServerClock;
import app.jubek.formats.sieve.SieveReading;
import app.jubek.formats.sieve.SieveWriting;
import app.jubek.formats.sieve.syntax.SieveSyntaxException;
import java.io.IOException;
import java.nio.charset.CharacterCodingException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;

/**
 * Rules as they lie in a file: JSON or Sieve, by the end of its name.
 *
 * @param notCarried what of it could not be understood exactly
 */
record RuleFile(RuleBook book, List<NotCarried> notCarried) {

    static boolean isSieve(Path file) {
        String name = file.toString().toLowerCase(Locale.ROOT);
        if (name.endsWith(".sieve") || name.endsWith(".siv")) {
            return true;
        }
        if (name.endsWith(".json")) {
            return false;
        }
        throw new BadFile(file, "", "rules are read from .json and .sieve files");
    }

    static RuleFile read(Path file) {
        boolean sieve = isSieve(file);
        String text = text(file);
        try {
            if (sieve) {
                SieveReading.Read read = SieveReading.read(text);
                return new RuleFile(read.book(), read.notCarried());
            }
            return new RuleFile(RuleBookJson.read(text), List.of());
        } catch (SieveSyntaxException wrong) {
            String where = wrong.place().line() + ":" + wrong.place().column();
            throw new BadFile(file, where, String.valueOf(wrong.getMessage()));
        } catch (FormatException wrong) {
            throw new BadFile(file, where(wrong.faults().get(0)), String.valueOf(wrong.getMessage()));
        }
    }

    /** Line and column, where the fault is that it is no JSON. */
    private static String where(Fault fault) {
        java.util.regex.Matcher at =
                java.util.regex.Pattern.compile("line (\\d+), column (\\d+)").matcher(fault.toString());
        return at.find() ? at.group(1) + ":" + at.group(2) : "";
    }

    /** The whole days of an iCalendar file. */
    static List<LocalDate> closedDays(Path file, LocalDate from, LocalDate until) {
        try {
            return ClosedDaysFile.read(text(file), from, until).days().stream()
                    .map(ClosedDaysFile.ClosedDay::day)
                    .toList();
        } catch (FormatException wrong) {
            throw new BadFile(file, "", String.valueOf(wrong.getMessage()));
        }
    }

    private static String text(Path file) {
        try {
            return Files.readString(file);
        } catch (NoSuchFileException missing) {
            throw new BadFile(file, "", "there is no such file");
        } catch (CharacterCodingException notText) {
            throw new BadFile(file, "", "is not UTF-8 text");
        } catch (IOException unreadable) {
            throw new BadFile(file, "", "can't be read: " + unreadable.getMessage());
        }
    }

    /**
     * Writes a book, and returns what was not carried.
     *
     * @param clock of the server that runs the script, where it is one
     */
    static List<NotCarried> write(RuleBook book, ServerClock clock, Path file) {
        List<NotCarried> lost = List.of();
        String text;
        if (isSieve(file)) {
            SieveWriting.Written written = SieveWriting.write(book, clock);
            text = written.script();
            lost = written.notCarried();
        } else {
            text = RuleBookJson.write(book).toPrettyString() + "\n";
        }
        try {
            Files.writeString(file, text);
        } catch (IOException failed) {
            throw new BadFile(file, "", "can't be written: " + failed.getMessage());
        }
        return lost;
    }
}
