package app.jubek.server.template;

import app.jubek.core.template.DocumentId;
import app.jubek.core.template.Signature;
import app.jubek.core.template.Template;
import app.jubek.core.template.TemplateId;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

/** One version of a template. */
@Entity
@Table(name = "template")
class TemplateEntity {
    @EmbeddedId
    private Key key;

    private String name;
    private String language;
    private String subject;
    private String text;
    private String rich;
    private String signature;
    private @Nullable String picture;

    @JdbcTypeCode(SqlTypes.ARRAY)
    private String[] documents;

    @JdbcTypeCode(SqlTypes.JSON)
    private Map<String, String> fallbacks;

    private @Nullable LocalDate lookAgainOn;
    private boolean removed;
    private Instant savedAt;
    private String savedBy;

    @Embeddable
    record Key(UUID mailboxId, String id, int version) {}

    protected TemplateEntity() {}

    TemplateEntity(UUID mailbox, Saved saved, boolean removed) {
        Template template = saved.template();
        this.key = new Key(mailbox, template.id().value(), template.version());
        this.name = template.name();
        this.language = template.language().toLanguageTag();
        this.subject = template.subject();
        this.text = template.text();
        this.rich = template.rich();
        this.signature = template.signature().text();
        this.picture = template.signature().picture().map(DocumentId::value).orElse(null);
        this.documents = template.documents().stream().map(DocumentId::value).toArray(String[]::new);
        this.fallbacks = template.fallbacks();
        this.lookAgainOn = saved.lookAgainOn().orElse(null);
        this.removed = removed;
        this.savedAt = saved.at();
        this.savedBy = saved.by();
    }

    boolean removed() {
        return removed;
    }

    Saved saved() {
        Template template = new Template(
                new TemplateId(key.id()),
                key.version(),
                name,
                Locale.forLanguageTag(language),
                subject,
                text,
                rich,
                new Signature(signature, Optional.ofNullable(picture).map(DocumentId::new)),
                Arrays.stream(documents).map(DocumentId::new).toList(),
                fallbacks);
        return new Saved(template, Optional.ofNullable(lookAgainOn), savedAt, savedBy);
    }
}
