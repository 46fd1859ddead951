package app.jubek.server.mailbox;

import app.jubek.core.step.Flag;
import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import jakarta.mail.Flags;
import jakarta.mail.MessagingException;
import java.io.ByteArrayInputStream;
import java.time.Instant;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.eclipse.angus.mail.iap.Argument;
import org.eclipse.angus.mail.iap.CommandFailedException;
import org.eclipse.angus.mail.iap.ProtocolException;
import org.eclipse.angus.mail.iap.Response;
import org.eclipse.angus.mail.imap.IMAPFolder;
import org.eclipse.angus.mail.imap.protocol.BASE64MailboxEncoder;
import org.eclipse.angus.mail.imap.protocol.BODY;
import org.eclipse.angus.mail.imap.protocol.FLAGS;
import org.eclipse.angus.mail.imap.protocol.FetchResponse;
import org.eclipse.angus.mail.imap.protocol.IMAPProtocol;
import org.eclipse.angus.mail.imap.protocol.IMAPResponse;
import org.eclipse.angus.mail.imap.protocol.INTERNALDATE;
import org.eclipse.angus.mail.imap.protocol.RFC822SIZE;
import org.eclipse.angus.mail.imap.protocol.UID;
import org.jspecify.annotations.Nullable;

/**
 * Work on an open folder by UID alone (RFC 9051 §6.4.9). Message numbers shift whenever anybody removes a message, so
 * nothing here uses them. Nothing is marked by fetching, and nothing is expunged but what was named.
 */
public final class UidCommands {
    private static final Pattern COPIED = Pattern.compile("\\[COPYUID (\\d+) \\S+ (\\d+)\\]", Pattern.CASE_INSENSITIVE);

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d-MMM-yyyy", Locale.ENGLISH);

    private static final int FETCH_ATTEMPTS = 4;

    private static final Map<Flags.Flag, Flag> SYSTEM = Map.of(
            Flags.Flag.SEEN, Flag.SEEN,
            Flags.Flag.FLAGGED, Flag.FLAGGED,
            Flags.Flag.ANSWERED, Flag.ANSWERED,
            Flags.Flag.DRAFT, Flag.DRAFT,
            Flags.Flag.DELETED, Flag.DELETED);

    private final IMAPFolder folder;

    public UidCommands(IMAPFolder folder) {
        this.folder = folder;
    }

    /** UIDs above one, in order. */
    public List<Long> above(long uid) throws MessagingException {
        return fetched("UID FETCH " + (uid + 1) + ":* (UID)").stream()
                .map(UidCommands::uid)
                .flatMap(Optional::stream)
                .filter(found -> found > uid)
                .distinct()
                .sorted()
                .toList();
    }

    /** UIDs of messages that came in since a day, by the server's date of arrival. */
    public List<Long> since(LocalDate day) throws MessagingException {
        String date = DAY.format(day);
        Argument criteria = new Argument();
        criteria.writeAtom("SINCE");
        criteria.writeAtom(date);
        return search(criteria);
    }

    /** UIDs of messages with this Message-ID and, where the size is known, of exactly this size. */
    public List<Long> like(String messageId, long size) throws MessagingException {
        Argument criteria = new Argument();
        criteria.writeAtom("HEADER");
        criteria.writeAtom("Message-ID");
        criteria.writeString(messageId);
        return list(search(criteria)).stream()
                .filter(listed -> size == 0 || listed.size() == size)
                .map(Listed::uid)
                .toList();
    }

    /** All UIDs of the folder. */
    public Set<Long> all() throws MessagingException {
        Argument criteria = new Argument();
        criteria.writeAtom("ALL");
        return new HashSet<>(search(criteria));
    }

    public boolean exists(long uid) throws MessagingException {
        return fetched("UID FETCH " + uid + " (UID)").stream()
                .anyMatch(r -> uid(r).filter(u -> u == uid).isPresent());
    }

    /** A message as the folder lists it. */
    public record Listed(Fetched.Place place, Instant received, long size) {
        public long uid() {
            return place.uid();
        }
    }

    /** What was fetched of a message. */
    public record Content(long uid, byte[] bytes) {}

    /** Date of arrival and size of messages, in the order asked for; those that are gone by now are missing. */
    public List<Listed> list(Collection<Long> uids) throws MessagingException {
        Map<Long, Listed> found = new HashMap<>();
        if (!uids.isEmpty()) {
            for (FetchResponse response : fetched("UID FETCH " + set(uids) + " (UID INTERNALDATE RFC822.SIZE)")) {
                uid(response).ifPresent(uid -> found.put(uid, listed(uid, response)));
            }
        }
        return uids.stream().filter(found::containsKey).map(found::get).toList();
    }

    private Listed listed(long uid, FetchResponse response) {
        long size = Optional.ofNullable(response.getItem(RFC822SIZE.class))
                .map(s -> s.size)
                .orElse(0L);
        return new Listed(new Fetched.Place(folder.getFullName(), validity(), uid), received(response), size);
    }

    /** One item of the body of messages, fetched without marking them. */
    public List<Content> contents(Collection<Long> uids, String item) throws MessagingException {
        List<Content> all = new ArrayList<>();
        if (uids.isEmpty()) {
            return all;
        }
        for (FetchResponse response : fetched("UID FETCH " + set(uids) + " (UID " + item + ")")) {
            BODY body = response.getItem(BODY.class);
            Optional<Long> uid = uid(response);
            if (body != null && uid.isPresent()) {
                all.add(new Content(uid.get(), bytes(body)));
            }
        }
        return all;
    }

    /** Runs as ranges: lines of 8,000 bytes are all that a server must take (RFC 7162 §4). */
    private static String set(Collection<Long> uids) {
        List<String> ranges = new ArrayList<>();
        long from = -1;
        long to = -2;
        for (long uid : uids.stream().sorted().toList()) {
            if (uid != to + 1) {
                addRange(from, to, ranges);
                from = uid;
            }
            to = uid;
        }
        addRange(from, to, ranges);
        return String.join(",", ranges);
    }

    private static void addRange(long from, long to, List<String> into) {
        if (from >= 0) {
            into.add(from == to ? "" + from : from + ":" + to);
        }
    }

    private long validity() {
        try {
            return folder.getUIDValidity();
        } catch (MessagingException closed) {
            throw new IllegalStateException(closed);
        }
    }

    public boolean isAnswered(long uid) throws MessagingException {
        return flags(uid).contains(Flag.ANSWERED.imap());
    }

    /** The marks of a message, as rules write them; none of one that is gone. */
    public Set<String> flags(long uid) throws MessagingException {
        Set<String> marks = new LinkedHashSet<>();
        for (FetchResponse response : fetched("UID FETCH " + uid + " (UID FLAGS)")) {
            FLAGS flags = response.getItem(FLAGS.class);
            if (flags != null && uid(response).filter(u -> u == uid).isPresent()) {
                SYSTEM.forEach((system, mark) -> {
                    if (flags.contains(system)) {
                        marks.add(mark.imap());
                    }
                });
                marks.addAll(List.of(flags.getUserFlags()));
            }
        }
        return marks;
    }

    public void flag(long uid, String flag, boolean on) throws MessagingException {
        command("UID STORE " + uid + (on ? " +" : " -") + "FLAGS.SILENT (" + flag + ")", null);
    }

    /** Moves one message; the place it has afterwards, where the server says it (RFC 4315, RFC 6851). */
    public Optional<Fetched.Place> move(long uid, String target) throws MessagingException {
        return copied("UID MOVE " + uid, target);
    }

    /** Where the copy lies, when the server says so (RFC 4315 §3). */
    public Optional<Fetched.Place> copy(long uid, String target) throws MessagingException {
        return copied("UID COPY " + uid, target);
    }

    /** For servers without MOVE: copies one message and removes the original, and it alone. */
    public Optional<Fetched.Place> copyAndRemove(long uid, String target) throws MessagingException {
        Optional<Fetched.Place> place = copy(uid, target);
        remove(uid);
        return place;
    }

    /** Removes one message for good, and it alone (RFC 4315). */
    public void remove(long uid) throws MessagingException {
        flag(uid, "\\Deleted", true);
        command("UID EXPUNGE " + uid, null);
    }

    private Optional<Fetched.Place> copied(String command, String target) throws MessagingException {
        Argument name = new Argument();
        name.writeString(BASE64MailboxEncoder.encode(target));
        for (Response response : command(command, name)) {
            Matcher matcher = COPIED.matcher(response.toString());
            if (matcher.find()) {
                long validity = Long.parseLong(matcher.group(1));
                return Optional.of(new Fetched.Place(target, validity, Long.parseLong(matcher.group(2))));
            }
        }
        return Optional.empty();
    }

    private List<Long> search(Argument criteria) throws MessagingException {
        List<Long> uids = new ArrayList<>();
        for (Response response : command("UID SEARCH", criteria)) {
            if (response instanceof IMAPResponse found && found.keyEquals("SEARCH")) {
                for (long uid = found.readLong(); uid != -1; uid = found.readLong()) {
                    uids.add(uid);
                }
            }
        }
        return uids;
    }

    List<FetchResponse> fetched(String command) throws MessagingException {
        List<FetchResponse> all = new ArrayList<>();
        for (Response response : asked(command)) {
            if (response instanceof FetchResponse fetch) {
                all.add(fetch);
            }
        }
        return all;
    }

    /** A server may refuse to fetch because somebody removes mail at that moment; asking again changes nothing there. */
    private Response[] asked(String command) throws MessagingException {
        for (int refusals = 1; ; refusals++) {
            try {
                return command(command, null);
            } catch (MessagingException failed) {
                if (refusals == FETCH_ATTEMPTS || !(failed.getCause() instanceof CommandFailedException)) {
                    throw failed;
                }
            }
        }
    }

    private Response[] command(String command, @Nullable Argument arguments) throws MessagingException {
        return (Response[]) folder.doCommand(protocol -> run(protocol, command, arguments));
    }

    private static Response[] run(IMAPProtocol protocol, String command, @Nullable Argument arguments)
            throws ProtocolException {
        Response[] responses = protocol.command(command, arguments);
        protocol.notifyResponseHandlers(responses);
        protocol.handleResult(responses[responses.length - 1]);
        return responses;
    }

    private static Optional<Long> uid(FetchResponse response) {
        return Optional.ofNullable(response.getItem(UID.class)).map(u -> u.uid);
    }

    static Instant received(FetchResponse response) {
        return Optional.ofNullable(response.getItem(INTERNALDATE.class))
                .map(date -> date.getDate().toInstant())
                .orElse(Instant.EPOCH);
    }

    static byte[] bytes(BODY body) {
        ByteArrayInputStream in = body.getByteArrayInputStream();
        return in == null ? new byte[0] : in.readAllBytes();
    }
}
