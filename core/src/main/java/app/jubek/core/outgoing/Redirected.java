package app.jubek.core.outgoing;

import app.jubek.core.message.ByteSource;
import app.jubek.core.reading.TraceFields;
import java.io.InputStream;
import java.io.SequenceInputStream;

/**
 * A redirect as it leaves: the added block, then the stored bytes without their Return-Path fields.
 */
public record Redirected(ByteSource block, ByteSource original) implements ByteSource {
    @Override
    public long size() {
        return block.size() + original.size();
    }

    @Override
    public InputStream open() {
        return new SequenceInputStream(block.open(), TraceFields.withoutReturnPath(original));
    }
}
