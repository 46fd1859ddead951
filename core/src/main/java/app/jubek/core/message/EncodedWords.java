package app.jubek.core.message;

import org.apache.james.mime4j.codec.DecodeMonitor;
import org.apache.james.mime4j.codec.DecoderUtil;

/** Encoded words (RFC 2047); what can't be decoded stays as written. */
final class EncodedWords {
    private EncodedWords() {}

    static String decode(String raw) {
        if (!raw.contains("=?")) {
            return raw;
        }
        try {
            return DecoderUtil.decodeEncodedWords(raw, DecodeMonitor.SILENT);
        } catch (RuntimeException malformed) {
            return raw;
        }
    }
}
