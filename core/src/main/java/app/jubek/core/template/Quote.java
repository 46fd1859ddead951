package app.jubek.core.template;

import app.jubek.core.address.MailAddress;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.text.Unsafe;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.time.format.FormatStyle;
import java.util.Locale;
import java.util.stream.Collectors;

/** A message as it stands below its answer: who wrote it when, and its text, each line marked (common practice). */
record Quote(String text, String html) {
    private static final int MOST = 20_000;

    static Quote of(ReadMessage message, Instant received, ZoneId zone, Locale language) {
        String who =
                message.sender().map(MailAddress::inFull).map(Unsafe::removed).orElse("");
        ZonedDateTime at = received.atZone(zone);
        String when =
                at.format(DateTimeFormatter.ofLocalizedDate(FormatStyle.LONG).withLocale(language)) + ", "
                        + at.format(DateTimeFormatter.ofPattern("HH:mm", language));
        String head = who + ", " + when + ":";
        String said = String.join("\n\n", message.texts());
        String cut = said.length() > MOST ? said.substring(0, MOST) + " […]" : said;
        String lines = cut.lines().map(line -> "> " + line).collect(Collectors.joining("\n"));
        return new Quote(head + "\n" + lines, RichText.of(head) + "<blockquote>" + RichText.of(cut) + "</blockquote>");
    }
}
