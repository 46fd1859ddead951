package app.jubek.server.mailbox;

import app.jubek.core.message.Octets;
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
     * @param largest octets; of larger messages the header alone is fetched
     */
    Fetching(UidCommands commands, long largest) {
        this.commands = commands;
        this.largest = largest;
    }

    /** Hands messages on in the order of their UIDs given, some at a time. */
    void each(Collection<Long> uids, Consumer<List<Fetched>> taker) throws MessagingException {
        List<UidCommands.Listed> together = new ArrayList<>();
        long octets = 0;
        for (UidCommands.Listed listed : commands.list(uids)) {
            boolean large = listed.size() > SMALL;
            if (large || octets + listed.size() > SMALL || together.size() == AT_ONCE) {
                together(together, taker);
                together.clear();
                octets = 0;
            }
            if (large) {
                large(listed, taker);
            } else {
                together.add(listed);
                octets += listed.size();
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
                    .ifPresent(l -> fetched.add(fetched(l, Octets.of(content.octets()), true)));
        }
        taker.accept(fetched);
    }

    private void large(UidCommands.Listed listed, Consumer<List<Fetched>> taker) throws MessagingException {
        if (listed.size() > largest) {
            for (UidCommands.Content content : commands.contents(List.of(listed.uid()), "BODY.PEEK[HEADER]")) {
                taker.accept(List.of(fetched(listed, Octets.of(content.octets()), false)));
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
                spool.add(part.get(0).octets());
                got = part.get(0).octets().length;
                at += got;
            }
            spool.complete();
            taker.accept(List.of(fetched(listed, spool, true)));
        } catch (IOException failed) {
            throw new MessagingException("a large message can't be written to a temporary file", failed);
        }
    }

    private Fetched fetched(UidCommands.Listed listed, Octets octets, boolean whole) {
        return new Fetched(listed.place(), listed.received(), octets, listed.size(), whole);
    }
}
