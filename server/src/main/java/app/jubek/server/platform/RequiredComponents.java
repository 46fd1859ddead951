package app.jubek.server.platform;

import com.fasterxml.jackson.databind.JavaType;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.core.util.Json31;
import io.swagger.v3.oas.models.media.Schema;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.Iterator;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** In the API's description every component of a record is required, unless its type is Optional. */
@Component
class RequiredComponents implements ModelConverter {
    @Override
    public @Nullable Schema<?> resolve(
            AnnotatedType type, ModelConverterContext context, Iterator<ModelConverter> chain) {
        if (!chain.hasNext()) {
            return null;
        }
        Schema<?> resolved = chain.next().resolve(type, context, chain);
        JavaType java = Json31.mapper().constructType(type.getType());
        if (resolved != null && java != null && java.getRawClass().isRecord()) {
            require(java.getRawClass(), defined(resolved, context));
        }
        return resolved;
    }

    private static Schema<?> defined(Schema<?> resolved, ModelConverterContext context) {
        String ref = resolved.get$ref();
        Schema<?> found = ref == null ? null : context.getDefinedModels().get(ref.substring(ref.lastIndexOf('/') + 1));
        return found == null ? resolved : found;
    }

    private static void require(Class<?> record, Schema<?> schema) {
        if (schema.getProperties() == null) {
            return;
        }
        schema.setRequired(Arrays.stream(record.getRecordComponents())
                .filter(component -> component.getType() != Optional.class)
                .map(RecordComponent::getName)
                .filter(schema.getProperties()::containsKey)
                .sorted()
                .toList());
    }
}
