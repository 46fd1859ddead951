package app.jubek.core.criteria;

import app.jubek.core.wording.Code;

/** How criteria are told: clauses that can follow the word "mail". */
enum CriterionPhrase implements Code {
    EVERY_KIND,
    NO_KIND,
    /** An address is compared as a domain and what lies below it: the domains. */
    ANYONE_AT,
    /** An address is compared as a domain alone: the domains. */
    ANYONE_EXACTLY_AT,
    /** Each of the next has the values and the part. */
    CONTAINING,
    NOT_CONTAINING,
    WITH_WHOLE_WORDS,
    WITHOUT_WHOLE_WORDS,
    BEING,
    NOT_BEING,
    BEGINNING_WITH,
    NOT_BEGINNING_WITH,
    ENDING_WITH,
    NOT_ENDING_WITH,
    LIKE,
    NOT_LIKE,
    FITTING_PATTERN,
    NOT_FITTING_PATTERN,
    /** How texts are compared, where it is not the usual way: the clause. */
    COMPARED_WITHOUT_ACCENTS,
    COMPARED_ASCII_CASE,
    COMPARED_EXACTLY,
    /** Whether a part is there: the part. */
    WITH,
    WITHOUT,
    /** What a part is compared with: the part, the relation, the values. */
    COMPARED_WITH,
    /** The values, as a number. */
    AS_NUMBER,
    /** What is counted, the relation, the number. */
    COUNTED,
    /** A part and the name of its field; a part and which piece of it. */
    PART_NAMED,
    PART_PIECE,
    ANY_ATTACHMENT,
    SENT_BY,
    /** Nothing says that a machine sent it. */
    NOT_AUTOMATIC,
    /** The name of a group of the address book. */
    FROM_GROUP
}
