package app.jubek.server.evidence;

import app.jubek.core.criteria.InHand;
import app.jubek.core.criteria.Setting;
import app.jubek.core.message.MessageReading;
import app.jubek.core.people.AddressBook;
import app.jubek.core.text.Limits;
import app.jubek.core.text.Pieces;
import app.jubek.server.mailbox.Mailbox;
import java.nio.charset.StandardCharsets;
import java.time.Instant;

/** A message written on the spot, to see what a rule or a template makes of it. */
record MadeUp(String from, String to, String subject, String text) {

    /** As if it came in now. */
    InHand inHand(Mailbox mailbox, AddressBook people, Instant now) {
        Setting setting = new Setting(
                mailbox.own(),
                people,
                now,
                now,
                mailbox.zone(),
                false,
                mailbox.own().identity().address(),
                "INBOX");
        return new InHand(new MessageReading(Limits.standard()).read(raw(mailbox)), setting);
    }

    /** Line ends in its fields would begin another field. */
    private byte[] raw(Mailbox mailbox) {
        String recipient = to.isBlank() ? mailbox.own().identity().address() : to;
        String header = "Return-Path: <" + bare(line(from)) + ">\r\nFrom: " + line(from) + "\r\nTo: " + line(recipient)
                + "\r\nSubject: " + line(subject) + "\r\nMIME-Version: 1.0\r\n"
                + "Content-Type: text/plain; charset=utf-8\r\nContent-Transfer-Encoding: 8bit\r\n\r\n";
        return (header + text).getBytes(StandardCharsets.UTF_8);
    }

    /** The address of "Mara Lindqvist <mara@mailhaven.example>". */
    private static String bare(String writer) {
        int open = writer.indexOf('<');
        int close = writer.indexOf('>', open);
        return open >= 0 && close > open ? writer.substring(open + 1, close) : writer;
    }

    private static String line(String written) {
        return Pieces.replaced(written, Character::isISOControl, " ").strip();
    }
}
