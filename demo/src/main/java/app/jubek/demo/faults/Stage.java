package app.jubek.demo.faults;

/** Where in a conversation a fault strikes. */
enum Stage {
    /** A client has connected and waits for the greeting. */
    SMTP_GREETING,
    /** A command line of the client, before the server sees it. */
    SMTP_COMMAND,
    /** The client is in the middle of the content. */
    SMTP_CONTENT,
    /** The client has sent the final dot; the server has not seen it. */
    SMTP_BEFORE_DOT,
    /** The server has taken the message; the client has no answer yet. */
    SMTP_AFTER_DOT,
    IMAP_GREETING,
    /** A command line of the client, before the server sees it. */
    IMAP_COMMAND,
    /** The server has carried a command out; the client has no tagged answer yet. */
    IMAP_ANSWER,
    /** A line of either server that is not content. */
    SERVER_LINE
}
