package app.jubek.server.http;

import app.jubek.core.text.Shown;
import app.jubek.core.wording.Statement;
import app.jubek.core.wording.Wording;
import app.jubek.formats.statement.StatementJson;
import com.fasterxml.jackson.annotation.JsonSetter;
import com.fasterxml.jackson.annotation.Nulls;
import java.util.List;
import java.util.Map;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import tools.jackson.core.JsonGenerator;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JacksonModule;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.module.SimpleModule;
import tools.jackson.databind.node.ObjectNode;
import tools.jackson.databind.ser.std.StdSerializer;

/** How the API reads and tells JSON. */
@Configuration
class JsonConfiguration {
    /**
     * Every text is told as it may be shown, whoever wrote it: nothing in it turns other text around or hides. What people
     * write themselves and get back to edit is told as it is: {@link AsWritten}.
     */
    @Bean
    JacksonModule textsAsShown() {
        SimpleModule module = new SimpleModule("texts as shown");
        module.addSerializer(String.class, new StdSerializer<>(String.class) {
            @Override
            public void serialize(String text, JsonGenerator json, SerializationContext context) {
                json.writeString(Shown.of(text));
            }
        });
        return module;
    }

    /** English; another language would be chosen by request. */
    @Bean
    Wording wording() {
        return Wording.english();
    }

    /** Statements are told as what they are, a code with arguments, and in words beside it. */
    @Bean
    JacksonModule statementsInWords(Wording wording) {
        SimpleModule module = new SimpleModule("statements in words");
        module.addSerializer(Statement.class, new StdSerializer<>(Statement.class) {
            @Override
            public void serialize(Statement statement, JsonGenerator json, SerializationContext context) {
                ObjectNode node = StatementJson.write(statement);
                json.writeStartObject();
                json.writeStringProperty("code", statement.code());
                json.writeName("arguments");
                context.writeValue(json, node.path("arguments").isArray() ? node.get("arguments") : List.of());
                json.writeStringProperty("words", Shown.of(wording.of(statement)));
                json.writeEndObject();
            }
        });
        return module;
    }

    /** A text or list that is missing or null counts as empty; anything else of it, also in a list, is refused with its place. */
    @Bean
    JsonMapperBuilderCustomizer nothingIsNull() {
        JsonSetter.Value empty = JsonSetter.Value.construct(Nulls.AS_EMPTY, Nulls.FAIL);
        return builder -> {
            builder.enable(DeserializationFeature.FAIL_ON_NULL_CREATOR_PROPERTIES)
                    .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
                    .changeDefaultNullHandling(nulls -> nulls.withContentNulls(Nulls.FAIL));
            for (Class<?> type : List.of(String.class, List.class, Map.class)) {
                builder.withConfigOverride(type, override -> override.setNullHandling(empty));
            }
        };
    }
}
