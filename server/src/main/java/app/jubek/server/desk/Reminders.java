package app.jubek.server.desk;

import app.jubek.core.step.Step;
import app.jubek.server.figures.WorkFigures;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** Messages that a person wants to look at by a day. */
@Service
public class Reminders {
    private final WorkFigures figures;

    Reminders(WorkFigures figures) {
        this.figures = figures;
    }

    /**
     * @param day the last one
     */
    public record Remind(long message, LocalDate day) {}

    /** Those whose day lies between two, both included, the earliest first; mail that is gone is left out. */
    public List<Remind> between(UUID mailbox, LocalDate first, LocalDate last) {
        return figures.markedBetween(mailbox, Step.Remind.TAG + first, Step.Remind.TAG + last).stream()
                .map(marked -> new Remind(
                        marked.message(), LocalDate.parse(marked.tag().substring(Step.Remind.TAG.length()))))
                .toList();
    }
}
