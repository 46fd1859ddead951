package app.jubek.core.reading;

import app.jubek.core.message.ReadingNote;
import app.jubek.core.text.Limits;
import app.jubek.core.wording.Statement;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.SequenceInputStream;
import java.util.ArrayList;
import java.util.List;

/**
 * A message whose header is within its limits before anybody parses it: fields that are too long are cut, and of a header
 * that is too long the rest is passed over. Its body is untouched.
 */
final class CutHeader {
    private final Limits limits;
    private final ByteArrayOutputStream kept = new ByteArrayOutputStream();
    private final ByteArrayOutputStream line = new ByteArrayOutputStream();
    private int inField;
    private int fields;
    private boolean longField;
    private boolean longHeader;

    private CutHeader(Limits limits) {
        this.limits = limits;
    }

    /**
     * @param cut what was not read, in plain words; empty when all was
     */
    record Result(InputStream message, List<Statement> cut) {}

    /**
     * @param bytes read one by one, so better buffered
     */
    static Result of(InputStream bytes, Limits limits) throws IOException {
        return new CutHeader(limits).read(bytes);
    }

    private Result read(InputStream bytes) throws IOException {
        boolean header = true;
        while (header) {
            header = readLine(bytes);
        }
        List<Statement> cut = new ArrayList<>();
        if (longField) {
            cut.add(ReadingNote.FIELD_CUT.with(limits.field() / 1024));
        }
        if (longHeader) {
            cut.add(ReadingNote.HEADER_TOO_LONG.with(limits.header() / 1024, limits.fields()));
        }
        return new Result(new SequenceInputStream(new ByteArrayInputStream(kept.toByteArray()), bytes), cut);
    }

    /** Returns whether the header goes on behind this line. */
    private boolean readLine(InputStream bytes) throws IOException {
        line.reset();
        int length = 0;
        int next = bytes.read();
        while (next >= 0 && next != '\n') {
            if (length++ < limits.field()) {
                line.write(next);
            }
            next = bytes.read();
        }
        byte[] content = line.toByteArray();
        boolean ends = length == 0 || length == 1 && content[0] == '\r';
        if (ends || next < 0) {
            keep(content, content.length, next);
            return false;
        }
        boolean goesOn = content[0] == ' ' || content[0] == '\t';
        inField = goesOn ? inField : 0;
        fields += goesOn ? 0 : 1;
        keepWithin(content, length, next);
        return true;
    }

    private void keepWithin(byte[] content, int length, int lineEnd) {
        if (longHeader || fields > limits.fields() || kept.size() >= limits.header()) {
            longHeader = true;
            return;
        }
        int room = Math.min(limits.field() - inField, limits.header() - kept.size());
        inField += length + 1;
        if (length <= room) {
            keep(content, content.length, lineEnd);
            return;
        }
        longField |= limits.field() - inField < 0;
        longHeader |= kept.size() + length >= limits.header();
        if (room > 0) {
            keep(content, Math.min(room, content.length), lineEnd);
        }
    }

    private void keep(byte[] content, int length, int lineEnd) {
        kept.write(content, 0, length);
        if (lineEnd >= 0) {
            kept.write(lineEnd);
        }
    }
}
