package app.jubek.core.schedule;

import app.jubek.core.wording.Code;

/** How a schedule is told: its hours, the days that recur, its periods, and what closed days make of it. */
enum SchedulePhrase implements Code {
    FROM_DAY,
    UNTIL_DAY,
    ON_DAY,
    /** The first and the last day. */
    DAYS,
    /** The number of the first day within its month, and the last day. */
    DAYS_OF_MONTH,
    /** Several of these. */
    PERIODS,
    /** The hours and the days. */
    HOURS_OF_DAYS,
    /** All of that, and what closed days make of it. */
    AND_CLOSED_DAYS,
    /** Each of the next two has the name of the hours. */
    INSIDE_NAMED,
    OUTSIDE_NAMED,
    /** The days of the week. */
    EVERY_WEEKDAY,
    /** How many weeks, and the days of the week. */
    EVERY_FEW_WEEKS,
    /** Which one, and the day of the week. */
    WEEKDAY_OF_MONTH,
    /** The number of the day. */
    DAY_OF_MONTH,
    LAST_OF_MONTH,
    /** The months. */
    IN_MONTHS,
    /** The number of the day, and the month. */
    DAY_OF_YEAR,
    /** The day, the name of a rule, what happens. */
    TURN_OF_RULE,
    /** The rule as it is written. */
    DAYS_AS_WRITTEN
}
