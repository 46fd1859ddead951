package app.jubek.server.http;

import tools.jackson.core.JsonGenerator;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.ser.std.StdSerializer;

/** For texts that somebody gets back to edit, and for the raw source of a message. */
public final class AsWritten extends StdSerializer<String> {
    public AsWritten() {
        super(String.class);
    }

    @Override
    public void serialize(String text, JsonGenerator json, SerializationContext context) {
        json.writeString(text);
    }
}
