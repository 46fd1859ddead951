package app.jubek.server.watching;

import app.jubek.core.message.ByteSource;
import app.jubek.server.mailbox.Fetched;
import app.jubek.server.mailbox.UidCommands;
import jakarta.mail.MessagingException;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;

/**
 * Brings messages in by UID: small ones several at a time, a large one alone and in parts, so that memory is bounded by
 * what is passed on at once. Messages that are gone by now are missing.
 */
final class Fetching {
    private static final long SMALL = 1 << 20;
    private static final int AT_ONCE = 500;

    private final UidCommands commands;
    private final long largest;

    /**
     * @param largest bytes; of larger messages the header alone is fetched
     */
    Fetching(UidCommands commands, long largest) {
        this.commands = commands;
        this.largest = largest;
    }

    /** Hands messages on in the order of their UIDs given, some at a time. */
    void each(Collection<Long> uids, Consumer<List<Fetched>> taker) throws MessagingException {
        List<UidCommands.Listed> together = new ArrayList<>();
        long bytes = 0;
        for (UidCommands.Listed listed : commands.list(uids)) {
            boolean large = listed.size() > SMALL;
            if (large || bytes + listed.size() > SMALL || together.size() == AT_ONCE) {
                together(together, taker);
                together.clear();
                bytes = 0;
            }
            if (large) {
                large(listed, taker);
            } else {
                together.add(listed);
                bytes += listed.size();
            }
        }
        together(together, taker);
    }

    private void together(List<UidCommands.Listed> listed, Consumer<List<Fetched>> taker) throws MessagingException {
        if (listed.isEmpty()) {
            return;
        }
        Map<Long, UidCommands.Listed> byUid = new LinkedHashMap<>();
        listed.forEach(l -> byUid.put(l.uid(), l));
        List<Fetched> fetched = new ArrayList<>();
        for (UidCommands.Content content : commands.contents(List.copyOf(byUid.keySet()), "BODY.PEEK[]")) {
            Optional.ofNullable(byUid.get(content.uid()))
                    .ifPresent(l -> fetched.add(fetched(l, ByteSource.of(content.bytes()), true)));
        }
        taker.accept(fetched);
    }

    private void large(UidCommands.Listed listed, Consumer<List<Fetched>> taker) throws MessagingException {
        if (listed.size() > largest) {
            for (UidCommands.Content content : commands.contents(List.of(listed.uid()), "BODY.PEEK[HEADER]")) {
                taker.accept(List.of(fetched(listed, ByteSource.of(content.bytes()), false)));
            }
            return;
        }
        try (Spool spool = new Spool()) {
            long at = 0;
            int got = (int) SMALL;
            while (got == SMALL) {
                List<UidCommands.Content> part =
                        commands.contents(List.of(listed.uid()), "BODY.PEEK[]<" + at + "." + SMALL + ">");
                if (part.isEmpty()) {
                    return;
                }
                spool.add(part.get(0).bytes());
                got = part.get(0).bytes().length;
                at += got;
            }
            spool.complete();
            taker.accept(List.of(fetched(listed, spool, true)));
        } catch (IOException failed) {
            throw new MessagingException("a large message can't be written to a temporary file", failed);
        }
    }

    private Fetched fetched(UidCommands.Listed listed, ByteSource bytes, boolean whole) {
        return new Fetched(listed.place(), listed.received(), bytes, listed.size(), whole);
    }
}
