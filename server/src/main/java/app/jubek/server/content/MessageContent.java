package app.jubek.server.content;

import org.springframework.stereotype.Component;

/** The bytes of messages as they came. */
@Component
public class MessageContent extends ContentParts<Long> {
    MessageContent(MessageContentRepository repository) {
        super(repository);
    }
}
