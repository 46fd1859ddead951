package app.jubek.core.schedule;

import app.jubek.core.wording.Code;

/** How a schedule is told: the days of its period, alone or after the hours. */
enum SchedulePhrase implements Code {
    FROM_DAY,
    UNTIL_DAY,
    ON_DAY,
    /** The first and the last day. */
    DAYS,
    /** The number of the first day within its month, and the last day. */
    DAYS_OF_MONTH,
    /** The hours and the days. */
    HOURS_OF_DAYS
}
