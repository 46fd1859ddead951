package app.jubek.core.outgoing;

import app.jubek.core.message.Octets;
import app.jubek.core.message.TraceFields;
import java.io.InputStream;
import java.io.SequenceInputStream;

/**
 * A redirect as it leaves: the added block, then the stored octets without their Return-Path fields.
 */
public record Redirected(Octets block, Octets original) implements Octets {
    @Override
    public long size() {
        return block.size() + original.size();
    }

    @Override
    public InputStream open() {
        return new SequenceInputStream(block.open(), TraceFields.withoutReturnPath(original));
    }
}
