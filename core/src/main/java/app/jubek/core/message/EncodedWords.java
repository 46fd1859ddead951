package app.jubek.core.message;

import app.jubek.core.text.Limits;
import app.jubek.core.text.Pieces;
import app.jubek.core.text.WhiteSpace;
import org.apache.james.mime4j.codec.DecodeMonitor;
import org.apache.james.mime4j.codec.DecoderUtil;

/** Encoded words (RFC 2047); what can't be decoded stays as written. */
public final class EncodedWords {
    private static final String BEGIN = "=?";
    private static final String END = "?=";

    private final String raw;
    private final int most;
    private final StringBuilder decoded = new StringBuilder();
    /** Words that follow each other with white space alone between them are decoded together. */
    private final StringBuilder words = new StringBuilder();

    private int wordsFrom = -1;

    private int wordsEnd;
    private int found;

    private EncodedWords(String raw, int most) {
        this.raw = raw;
        this.most = most;
    }

    public static String decode(String raw) {
        return decode(raw, Limits.standard().encodedWords());
    }

    /**
     * @param most words that are decoded; later ones stay as written
     */
    public static String decode(String raw, int most) {
        return read(raw, most).text();
    }

    /**
     * @param cut whether there were more words than are decoded
     */
    public record Result(String text, boolean cut) {}

    public static Result read(String raw, int most) {
        if (!raw.contains(BEGIN)) {
            return new Result(raw, false);
        }
        EncodedWords words = new EncodedWords(raw, most);
        return new Result(words.decoded(), words.found == most && raw.indexOf(BEGIN, words.wordsEnd) >= 0);
    }

    private String decoded() {
        int written = 0;
        int at = raw.indexOf(BEGIN);
        int nextEnd = 0;
        while (at >= 0 && found < most) {
            int text = textBegins(at);
            nextEnd = text > 0 && nextEnd >= 0 && nextEnd < text ? raw.indexOf(END, text) : nextEnd;
            boolean word = text > 0 && nextEnd >= text;
            if (word && wordsFrom >= 0 && !isSpace(wordsEnd, at)) {
                written = flush();
            }
            if (word) {
                if (wordsFrom < 0) {
                    decoded.append(raw, written, at);
                    wordsFrom = at;
                }
                int charset = at + BEGIN.length();
                String name = charset(charset, text - 3);
                words.append(BEGIN).append(name).append(raw, text - 3, nextEnd).append(END);
                wordsEnd = nextEnd + END.length();
                found++;
            }
            at = raw.indexOf(BEGIN, word ? wordsEnd : at + BEGIN.length());
        }
        written = wordsFrom >= 0 ? flush() : written;
        return decoded.append(raw, written, raw.length()).toString();
    }

    /** Where the encoded text of a word begins, behind charset and encoding; nothing where this is no word. */
    private int textBegins(int at) {
        int charset = at + BEGIN.length();
        int end = charset;
        while (end < raw.length() && isOfToken(raw.charAt(end))) {
            end++;
        }
        boolean word = end > charset
                && end + 2 < raw.length()
                && raw.charAt(end) == '?'
                && "bBqQ".indexOf(raw.charAt(end + 1)) >= 0
                && raw.charAt(end + 2) == '?'
                && Charsets.named(charset(charset, end)).isPresent();
        return word ? end + 3 : -1;
    }

    /** Without the language that may follow it (RFC 2231 §5). */
    private String charset(int from, int end) {
        return Pieces.before(raw.substring(from, end), '*');
    }

    private static boolean isOfToken(char sign) {
        return sign > ' ' && sign < 0x7F && sign != '?' && sign != '=';
    }

    private boolean isSpace(int from, int to) {
        for (int at = from; at < to; at++) {
            if (!WhiteSpace.is(raw.charAt(at))) {
                return false;
            }
        }
        return true;
    }

    private int flush() {
        try {
            decoded.append(DecoderUtil.decodeEncodedWords(words.toString(), DecodeMonitor.SILENT));
        } catch (RuntimeException malformed) {
            decoded.append(raw, wordsFrom, wordsEnd);
        }
        words.setLength(0);
        wordsFrom = -1;
        return wordsEnd;
    }
}
