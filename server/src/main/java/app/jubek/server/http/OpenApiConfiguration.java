package app.jubek.server.http;

import app.jubek.core.wording.Statement;
import io.swagger.v3.core.util.Json31;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.Schema;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springdoc.core.utils.SpringDocUtils;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The API's description; rules in it are described by the published schema of the rule book format itself. */
@Configuration
class OpenApiConfiguration {
    private static final String SCHEMA = "/app/jubek/formats/rule-book-2.schema.json";

    static {
        SpringDocUtils.getConfig().replaceWithClass(Statement.class, StatementShape.class);
    }

    @Bean
    OpenApiCustomizer ruleBookSchema(JsonMapper json) {
        String text = schemaText().replace("#/$defs/", "#/components/schemas/");
        JsonNode definitions = json.readTree(text).get("$defs");
        return api -> {
            api.setInfo(new Info().title("Jubek").version("1"));
            api.setServers(List.of());
            for (String name : definitions.propertyNames()) {
                api.getComponents().addSchemas(name, schema(definitions.get(name)));
            }
        };
    }

    private static Schema<?> schema(JsonNode definition) {
        try {
            return Json31.mapper().readValue(definition.toString(), Schema.class);
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
    }

    private static String schemaText() {
        try (InputStream in = OpenApiConfiguration.class.getResourceAsStream(SCHEMA)) {
            if (in == null) {
                throw new IllegalStateException(SCHEMA + " is missing");
            }
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }
}
