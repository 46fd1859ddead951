package app.jubek.demo.server;

import app.jubek.core.template.Document;
import app.jubek.core.template.DocumentId;
import app.jubek.core.template.TemplateId;
import app.jubek.formats.rulebook.RuleBookJson;
import app.jubek.formats.vcard.Cards;
import app.jubek.server.addressbook.AddressBooks;
import app.jubek.server.hours.ClosedDays;
import app.jubek.server.hours.NamedHours;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.platform.SimulatedWorld;
import app.jubek.server.rulebook.RuleBooks;
import app.jubek.server.template.Documents;
import app.jubek.server.template.Saved;
import app.jubek.server.template.TemplateText;
import app.jubek.server.template.Templates;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The first mailbox begins with the garden's people, templates and rules. */
@Component
class OstrelGardens implements SimulatedWorld {
    private static final String BY = "Ostrel Gardens";
    private static final List<String> TICKET_DESK = List.of(
            "tuesday 10:00-18:00",
            "wednesday 10:00-18:00",
            "thursday 10:00-20:00",
            "friday 10:00-18:00",
            "saturday 10:00-18:00",
            "sunday 10:00-16:00");

    private final DemoProperties demo;
    private final RuleBooks books;
    private final AddressBooks people;
    private final Templates templates;
    private final Documents documents;
    private final ClosedDays closedDays;
    private final NamedHours hours;
    private final Mailboxes mailboxes;
    private final JsonMapper json;
    private final Clock clock;

    OstrelGardens(
            DemoProperties demo,
            RuleBooks books,
            AddressBooks people,
            Templates templates,
            Documents documents,
            ClosedDays closedDays,
            NamedHours hours,
            Mailboxes mailboxes,
            JsonMapper json,
            Clock clock) {
        this.demo = demo;
        this.books = books;
        this.people = people;
        this.templates = templates;
        this.documents = documents;
        this.closedDays = closedDays;
        this.hours = hours;
        this.mailboxes = mailboxes;
        this.json = json;
        this.clock = clock;
    }

    @Override
    public void furnish(List<UUID> mailboxes) {
        mailboxes.stream()
                .limit(1)
                .filter(mailbox -> books.current(mailbox).version() == 0)
                .forEach(this::furnish);
    }

    private void furnish(UUID mailbox) {
        demo.people()
                .map(OstrelGardens::read)
                .map(cards -> Cards.read(cards, () -> UUID.randomUUID().toString()))
                .ifPresent(cards -> people.take(mailbox, cards));
        demo.answers().ifPresent(file -> answers(mailbox, file));
        demo.calendar().ifPresent(file -> {
            closedDays.take(mailbox, "Garden closed days", Optional.empty(), Optional.of(read(file)), BY);
            hours.save(mailbox, "Ticket desk", mailboxes.find(mailbox).zone(), TICKET_DESK, BY);
        });
        books.save(mailbox, 0, RuleBookJson.read(read(demo.ruleBook())), BY);
    }

    private void answers(UUID mailbox, Path file) {
        JsonNode all = json.readTree(read(file));
        LocalDate today = LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC);
        for (JsonNode each : all.path("documents")) {
            String name = each.path("file").stringValue();
            byte[] content = bytes(file.resolveSibling("documents").resolve(name));
            DocumentId id = new DocumentId(each.path("id").stringValue());
            String type = each.path("mediaType").stringValue();
            Document document = new Document(id, name, type, content.length, today, Optional.empty());
            documents.save(mailbox, new Documents.Kept(document, clock.instant(), BY), content);
        }
        for (JsonNode each : all.path("templates")) {
            TemplateId id = new TemplateId(each.path("id").stringValue());
            TemplateText written = json.treeToValue(each.path("written"), TemplateText.class);
            templates.save(mailbox, 0, new Saved(written.template(id, 1), Optional.empty(), clock.instant(), BY));
        }
    }

    private static String read(Path file) {
        return new String(bytes(file), java.nio.charset.StandardCharsets.UTF_8);
    }

    private static byte[] bytes(Path file) {
        try {
            return Files.readAllBytes(file);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }
}
