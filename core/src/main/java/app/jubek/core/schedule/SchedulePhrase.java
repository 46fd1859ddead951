package app.jubek.core.schedule;

import app.jubek.core.wording.Code;

/** How a period is told, after the hours: the first and the last day, where it has them. */
enum SchedulePhrase implements Code {
    FROM,
    UNTIL,
    FROM_UNTIL
}
