package app.jubek.server.template;

import app.jubek.core.template.Prepared;
import app.jubek.core.template.Template;
import app.jubek.core.template.TemplateId;
import app.jubek.server.platform.Refused;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The templates of each mailbox. */
@Service
public class Templates {
    private final TemplateRepository templates;
    private final Documents documents;

    Templates(TemplateRepository templates, Documents documents) {
        this.templates = templates;
        this.documents = documents;
    }

    /** As rules use them, with the documents that go along. */
    @Transactional(readOnly = true)
    public Prepared of(UUID mailbox) {
        Map<TemplateId, Template> all = current(mailbox).stream()
                .map(Saved::template)
                .collect(Collectors.toMap(Template::id, Function.identity()));
        return new Prepared(all, documents.of(mailbox));
    }

    @Transactional(readOnly = true)
    public List<Saved> current(UUID mailbox) {
        return templates.newest(mailbox).stream()
                .filter(t -> !t.removed())
                .map(TemplateEntity::saved)
                .toList();
    }

    /** All versions, the newest first. */
    @Transactional(readOnly = true)
    public List<Saved> versions(UUID mailbox, TemplateId id) {
        return templates.versions(mailbox, id.value()).stream()
                .map(TemplateEntity::saved)
                .toList();
    }

    /** Versions that were saved from an instant until before another one, the newest first, at most a hundred. */
    @Transactional(readOnly = true)
    public List<Saved> changes(UUID mailbox, Instant from, Instant until) {
        return templates.saved(mailbox, from, until).stream()
                .map(TemplateEntity::saved)
                .toList();
    }

    /**
     * Saves the next version.
     *
     * @param base the version it was made from; 0 for a new template
     * @throws Refused as a conflict, when somebody saved another one meanwhile
     */
    @Transactional
    public void save(UUID mailbox, int base, Saved next) {
        keep(mailbox, base, next, false);
    }

    /** Its versions stay; rules that use it hold their answers. */
    @Transactional
    public void remove(UUID mailbox, int base, Saved last) {
        keep(mailbox, base, last, true);
    }

    private void keep(UUID mailbox, int base, Saved next, boolean removed) {
        int newest = templates.versions(mailbox, next.template().id().value()).stream()
                .findFirst()
                .map(t -> t.saved().template().version())
                .orElse(0);
        if (newest != base) {
            throw Refused.conflict(
                    "Somebody changed this template meanwhile: it is at version " + newest
                            + ", and yours began from version " + base + ". Open it again.",
                    Map.of());
        }
        templates.save(new TemplateEntity(mailbox, next, removed));
    }
}
