package app.jubek.server.records;

import app.jubek.core.wording.Statement;
import app.jubek.server.intake.MessageLine;
import app.jubek.server.step.StepView;
import de.siegmar.fastcsv.writer.CsvWriter;
import java.time.Instant;
import java.util.Locale;
import java.util.function.Function;

/**
 * Records as lines of comma-separated values (RFC 4180). What a sheet would take for a formula gets an apostrophe before it:
 * subjects and addresses come from strangers (common practice).
 */
final class RecordsCsv {
    private static final String FORMULA = "=+-@\t\r";

    private final CsvWriter lines;
    private final Function<Statement, String> words;

    RecordsCsv(CsvWriter lines, Function<Statement, String> words) {
        this.lines = lines;
        this.words = words;
    }

    void head() {
        lines.writeRecord(
                "planned",
                "settled",
                "state",
                "rule",
                "version",
                "what",
                "recipient",
                "why",
                "received",
                "sender",
                "subject");
    }

    void line(StepView step, MessageLine message) {
        lines.writeRecord(
                step.plannedAt().toString(),
                step.settledAt().map(Instant::toString).orElse(""),
                step.state().name().toLowerCase(Locale.ROOT),
                safe(step.ruleName()),
                String.valueOf(step.ruleVersion()),
                safe(words.apply(step.done())),
                safe(step.recipient()),
                safe(step.because().map(words).orElse("")),
                message.received().toString(),
                safe(message.sender()),
                safe(message.subject()));
    }

    static String safe(String cell) {
        return !cell.isEmpty() && FORMULA.indexOf(cell.charAt(0)) >= 0 ? "'" + cell : cell;
    }
}
