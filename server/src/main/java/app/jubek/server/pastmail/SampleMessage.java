package app.jubek.server.pastmail;

import app.jubek.core.people.AddressBook;
import app.jubek.core.reading.MessageReading;
import app.jubek.core.text.Limits;
import app.jubek.core.text.Pieces;
import app.jubek.core.view.MessageContext;
import app.jubek.core.view.MessageView;
import app.jubek.server.mailbox.Mailbox;
import java.nio.charset.StandardCharsets;
import java.time.Instant;

/** A message written on the spot, to see what a rule or a template makes of it. */
public record SampleMessage(String from, String to, String subject, String text) {

    /** As if it came in now. */
    public MessageView view(Mailbox mailbox, AddressBook people, Instant now) {
        MessageContext context = mailbox.contextOfInbox(people, now);
        return new MessageView(new MessageReading(Limits.standard()).read(raw(mailbox)), context);
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
    private static String bare(String sender) {
        int open = sender.indexOf('<');
        int close = sender.indexOf('>', open);
        return open >= 0 && close > open ? sender.substring(open + 1, close) : sender;
    }

    private static String line(String written) {
        return Pieces.replaced(written, Character::isISOControl, " ").strip();
    }
}
