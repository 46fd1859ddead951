package app.jubek.core.reading;

import app.jubek.core.message.ByteSource;
import java.io.BufferedInputStream;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.SequenceInputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.util.HexFormat;
import java.util.Locale;
import java.util.Set;

/** The fields that each hop writes on top of a message (RFC 5321 §4.4): they differ between two copies of one mail. */
public final class TraceFields {
    private static final Set<String> NAMES =
            Set.of("return-path", "received", "delivered-to", "x-original-to", "envelope-to", "authentication-results");
    private static final int BUFFER = 1 << 16;

    /** A header beyond it is passed on unread. */
    private static final int HEADER_LIMIT = 4 << 20;

    private TraceFields() {}

    /** SHA-256, in hex, of the bytes below the trace fields. */
    public static String digestBelow(ByteSource bytes) {
        return digest(bytes, false);
    }

    /** SHA-256, in hex, of all bytes: of two deliveries of the same it differs. */
    public static String digestWith(ByteSource bytes) {
        return digest(bytes, true);
    }

    /** Whether any hop wrote such a field. */
    public static boolean areIn(ByteSource bytes) {
        try (InputStream in = new BufferedInputStream(bytes.open(), BUFFER)) {
            return NAMES.contains(name(field(in)));
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    private static String digest(ByteSource bytes, boolean withTrace) {
        try (InputStream in = new BufferedInputStream(bytes.open(), BUFFER)) {
            MessageDigest digest = MessageDigest.getInstance("SHA-256");
            byte[] field = field(in);
            while (!withTrace && field.length > 0 && NAMES.contains(name(field))) {
                field = field(in);
            }
            digest.update(field);
            byte[] buffer = new byte[BUFFER];
            for (int n = in.read(buffer); n > 0; n = in.read(buffer)) {
                digest.update(buffer, 0, n);
            }
            return HexFormat.of().formatHex(digest.digest());
        } catch (GeneralSecurityException everyJavaHasIt) {
            throw new IllegalStateException(everyJavaHasIt);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    /** The bytes without the Return-Path fields of the header; all others untouched and in place. */
    public static InputStream withoutReturnPath(ByteSource bytes) {
        try {
            InputStream in = new BufferedInputStream(bytes.open(), BUFFER);
            ByteArrayOutputStream kept = new ByteArrayOutputStream();
            byte[] field = field(in);
            while (field.length > 0 && !isHeaderEnd(field) && kept.size() < HEADER_LIMIT) {
                if (!name(field).equals("return-path")) {
                    kept.writeBytes(field);
                }
                field = field(in);
            }
            kept.writeBytes(field);
            return new SequenceInputStream(new ByteArrayInputStream(kept.toByteArray()), in);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    private static boolean isHeaderEnd(byte[] field) {
        return field[0] == '\r' || field[0] == '\n';
    }

    private static String name(byte[] field) {
        int at = 0;
        while (at < field.length && field[at] > ' ' && field[at] != ':' && at < 80) {
            at++;
        }
        boolean named = at < field.length && field[at] == ':';
        return named ? new String(field, 0, at, StandardCharsets.US_ASCII).toLowerCase(Locale.ROOT) : "";
    }

    /** The next field with its continuation lines and line end; empty at the end. */
    private static byte[] field(InputStream in) throws IOException {
        ByteArrayOutputStream field = new ByteArrayOutputStream();
        int next;
        do {
            int read = in.read();
            while (read >= 0 && read != '\n' && field.size() < HEADER_LIMIT) {
                field.write(read);
                read = in.read();
            }
            if (read >= 0) {
                field.write(read);
            }
            in.mark(1);
            next = in.read();
            if (next >= 0) {
                in.reset();
            }
        } while ((next == ' ' || next == '\t') && field.size() < HEADER_LIMIT);
        return field.toByteArray();
    }
}
