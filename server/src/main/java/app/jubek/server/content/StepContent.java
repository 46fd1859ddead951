package app.jubek.server.content;

import java.util.UUID;
import org.springframework.stereotype.Component;

/** The bytes of what leaves, frozen when it was planned; of a redirect the added block alone. */
@Component
public class StepContent extends ContentParts<UUID> {
    StepContent(StepContentRepository repository) {
        super(repository);
    }
}
