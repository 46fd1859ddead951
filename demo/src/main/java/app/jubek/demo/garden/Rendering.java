package app.jubek.demo.garden;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.format.DateTimeFormatter;
import java.util.Base64;
import java.util.Locale;

/** Writes a draft out as the bytes a mailbox would hold. */
final class Rendering {
    private static final DateTimeFormatter DATE =
            DateTimeFormatter.ofPattern("EEE, d MMM yyyy HH:mm:ss Z", Locale.ENGLISH);
    private static final Base64.Encoder BASE64 = Base64.getMimeEncoder(76, new byte[] {'\r', '\n'});
    private static final String EOL = "\r\n";

    private Rendering() {}

    /** With the trace fields of the mail servers on top. */
    static byte[] bytes(Draft draft, Instant at, int number) {
        StringBuilder out = new StringBuilder();
        String date = DATE.format(at.atZone(GardenMail.ZONE));
        field(out, "Return-Path", "<" + draft.returnPath() + ">");
        field(out, "Received", "from outside.example by post-office.example with ESMTP;" + EOL + "\t" + date);
        String checks = SenderChecks.of(draft.returnPath());
        if (!checks.isEmpty()) {
            field(out, "Authentication-Results", checks);
        }
        message(out, draft, date, number);
        return out.toString().getBytes(StandardCharsets.UTF_8);
    }

    /** As its sender hands it in. */
    static byte[] handedIn(Draft draft, Instant at, int number) {
        StringBuilder out = new StringBuilder();
        message(out, draft, DATE.format(at.atZone(GardenMail.ZONE)), number);
        return out.toString().getBytes(StandardCharsets.UTF_8);
    }

    private static void message(StringBuilder out, Draft draft, String date, int number) {
        String[] from = draft.from().split("\t");
        field(out, "From", word(from[0]) + " <" + from[1] + ">");
        field(out, "To", draft.to());
        field(out, "Subject", word(draft.subject()));
        field(out, "Date", date);
        field(out, "Message-ID", "<garden." + number + "@outside.example>");
        draft.fields().forEach(line -> out.append(line).append(EOL));
        field(out, "MIME-Version", "1.0");
        body(out, draft, "b" + number);
    }

    /** A short message of the desk itself, as its folder of sent mail keeps it. */
    static byte[] written(String desk, String messageId, Draft answer, Instant at) {
        StringBuilder out = new StringBuilder();
        field(out, "From", desk);
        field(out, "To", answer.returnPath());
        field(out, "Subject", word(answer.subject().replaceFirst("^Re: ", "")));
        field(out, "Date", DATE.format(at.atZone(GardenMail.ZONE)));
        field(out, "Message-ID", messageId);
        field(out, "MIME-Version", "1.0");
        single(out, "text/plain", "We are happy to help.\nIlse Varga, visits desk");
        return out.toString().getBytes(StandardCharsets.UTF_8);
    }

    private static void body(StringBuilder out, Draft draft, String boundary) {
        if (draft.enclosure().isPresent()) {
            Draft.Enclosure file = draft.enclosure().get();
            begin(out, "multipart/mixed", boundary);
            part(out, boundary, "text/plain", draft.text());
            out.append("--").append(boundary).append(EOL);
            field(out, "Content-Type", file.mediaType() + "; name=\"" + file.name() + "\"");
            field(out, "Content-Disposition", "attachment; filename=\"" + file.name() + "\"");
            encoded(out, file.bytes());
            end(out, boundary);
            return;
        }
        switch (draft.form()) {
            case PLAIN -> single(out, "text/plain", draft.text());
            case HTML_ONLY -> single(out, "text/html", draft.text());
            case ALTERNATIVE -> {
                begin(out, "multipart/alternative", boundary);
                part(out, boundary, "text/plain", draft.text());
                part(out, boundary, "text/html", "<p>" + draft.text().replace("\n", "<br>") + "</p>");
                end(out, boundary);
            }
            case REPORT -> {
                begin(out, "multipart/report; report-type=delivery-status", boundary);
                part(out, boundary, "text/plain", draft.text());
                part(
                        out,
                        boundary,
                        "message/delivery-status",
                        "Reporting-MTA: dns; post-office.example\n\nAction: failed\nStatus: 5.1.1\n");
                end(out, boundary);
            }
            case CALENDAR -> {
                begin(out, "multipart/alternative", boundary);
                part(out, boundary, "text/plain", draft.text());
                part(out, boundary, "text/calendar; method=REQUEST", "BEGIN:VCALENDAR\nVERSION:2.0\nEND:VCALENDAR\n");
                end(out, boundary);
            }
            default -> throw new IllegalStateException("no such form");
        }
    }

    private static void begin(StringBuilder out, String type, String boundary) {
        field(out, "Content-Type", type + "; boundary=\"" + boundary + "\"");
        out.append(EOL);
    }

    private static void end(StringBuilder out, String boundary) {
        out.append("--").append(boundary).append("--").append(EOL);
    }

    private static void part(StringBuilder out, String boundary, String type, String text) {
        out.append("--").append(boundary).append(EOL);
        single(out, type, text);
    }

    private static void single(StringBuilder out, String type, String text) {
        field(out, "Content-Type", type + "; charset=utf-8");
        String lines = text.replace("\n", EOL) + EOL;
        if (lines.chars().allMatch(c -> c < 0x80)) {
            field(out, "Content-Transfer-Encoding", "7bit");
            out.append(EOL).append(lines);
        } else {
            encoded(out, lines.getBytes(StandardCharsets.UTF_8));
        }
    }

    private static void encoded(StringBuilder out, byte[] bytes) {
        field(out, "Content-Transfer-Encoding", "base64");
        out.append(EOL).append(BASE64.encodeToString(bytes)).append(EOL);
    }

    private static void field(StringBuilder out, String name, String value) {
        out.append(name).append(": ").append(value).append(EOL);
    }

    /** RFC 2047 where it is needed, in words of at most 75 characters. */
    private static String word(String text) {
        if (text.chars().allMatch(c -> c < 0x80)) {
            return text;
        }
        StringBuilder words = new StringBuilder();
        for (int at = 0; at < text.length(); at += 20) {
            String piece = text.substring(at, Math.min(at + 20, text.length()));
            words.append(words.isEmpty() ? "" : EOL + " ")
                    .append("=?utf-8?B?")
                    .append(Base64.getEncoder().encodeToString(piece.getBytes(StandardCharsets.UTF_8)))
                    .append("?=");
        }
        return words.toString();
    }
}
