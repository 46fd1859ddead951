package app.jubek.demo.server;

import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyInt;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.ArgumentMatchers.argThat;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.RETURNS_DEEP_STUBS;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.jubek.core.rule.RuleBook;
import app.jubek.server.addressbook.AddressBooks;
import app.jubek.server.hours.ClosedDays;
import app.jubek.server.hours.NamedHours;
import app.jubek.server.mailbox.Mailboxes;
import app.jubek.server.rulebook.RuleBooks;
import app.jubek.server.template.Documents;
import app.jubek.server.template.Templates;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;

/** With the files of the demo as they ship. */
class OstrelGardensTest {
    private static final Path FILES = Path.of("../demo/ostrel-gardens");
    private static final UUID FIRST = UUID.randomUUID();
    private static final UUID SECOND = UUID.randomUUID();

    private final RuleBooks books = mock(RuleBooks.class);
    private final AddressBooks people = mock(AddressBooks.class);
    private final Templates templates = mock(Templates.class);
    private final Documents documents = mock(Documents.class);
    private final ClosedDays closedDays = mock(ClosedDays.class);
    private final NamedHours hours = mock(NamedHours.class);
    private final Mailboxes mailboxes = mock(Mailboxes.class, RETURNS_DEEP_STUBS);

    private void furnish(int version, boolean withPeople) {
        when(books.current(any()))
                .thenReturn(new RuleBooks.Versioned(version, RuleBook.empty(), Optional.empty(), Optional.empty()));
        Path cards = withPeople ? FILES.resolve("people.vcf") : null;
        DemoProperties demo = new DemoProperties(
                "http://127.0.0.1:1",
                FILES.resolve("rule-book.json"),
                cards,
                FILES.resolve("closed-days.ics"),
                FILES.resolve("templates.json"));
        new OstrelGardens(
                        demo,
                        books,
                        people,
                        templates,
                        documents,
                        closedDays,
                        hours,
                        mailboxes,
                        JsonMapper.builder().build(),
                        Clock.systemUTC())
                .furnish(List.of(FIRST, SECOND));
    }

    @Test
    void theFirstMailboxBeginsWithTheGardensPeopleAndRules() {
        furnish(0, true);
        verify(people).take(eq(FIRST), argThat(cards -> !cards.people().isEmpty()));
        verify(books).save(eq(FIRST), eq(0), argThat(book -> book.rules().size() > 3), anyString());
        verify(books, never()).save(eq(SECOND), anyInt(), any(), anyString());
    }

    @Test
    void itHasClosedDaysAndTheHoursOfItsTicketDesk() {
        furnish(0, false);
        verify(closedDays)
                .take(
                        eq(FIRST),
                        anyString(),
                        any(),
                        argThat(text -> text.orElseThrow().contains("Stocktaking")),
                        any());
        verify(hours).save(eq(FIRST), eq("Ticket desk"), any(), argThat(spans -> spans.size() == 6), any());
    }

    @Test
    void itsTemplatesTakeADocumentAndAPictureAlong() {
        furnish(0, true);
        verify(documents).save(eq(FIRST), argThat(kept -> kept.document().isPicture()), any());
        verify(templates, times(4)).save(eq(FIRST), eq(0), any());
        verify(templates)
                .save(
                        eq(FIRST),
                        eq(0),
                        argThat(saved -> !saved.template().documents().isEmpty()));
        verify(templates)
                .save(
                        eq(FIRST),
                        eq(0),
                        argThat(saved -> saved.template().signature().picture().isPresent()));
    }

    @Test
    void rulesThatAreThereStayAndPeopleNeedNotBeGiven() {
        furnish(3, true);
        verify(books, never()).save(any(), anyInt(), any(), anyString());
        furnish(0, false);
        verify(books).save(eq(FIRST), eq(0), any(), anyString());
        verify(people, never()).take(any(), any());
    }
}
