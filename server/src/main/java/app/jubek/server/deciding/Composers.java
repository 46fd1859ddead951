package app.jubek.server.deciding;

import app.jubek.core.outgoing.Composer;
import app.jubek.core.outgoing.DocumentContents;
import app.jubek.core.outgoing.ForwardPage;
import app.jubek.server.mailbox.Mailbox;
import app.jubek.server.platform.JubekProperties;
import app.jubek.server.template.Documents;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Makes what composes the mail that leaves a mailbox. */
@Component
public class Composers {
    /** Where forwards have their pages. */
    private static final String PAGE = "/handed-on/";

    private final DecisionContexts contexts;
    private final Documents documents;
    private final Optional<ForwardPage> page;

    Composers(DecisionContexts contexts, Documents documents, JubekProperties properties) {
        this.contexts = contexts;
        this.documents = documents;
        this.page = properties.web().publicPage(PAGE).map(ForwardPage::new);
    }

    public Composer of(Mailbox mailbox) {
        return with(documents.bytes(mailbox.id()), mailbox);
    }

    /** For mail that is only played through: documents come along empty. */
    public Composer withEmptyDocuments(Mailbox mailbox) {
        return with(document -> new byte[0], mailbox);
    }

    private Composer with(DocumentContents contents, Mailbox mailbox) {
        return new Composer(mailbox.own(), contexts.hops(), mailbox.zone(), contents, page);
    }

    /** The part before the @ of the Message-ID of a forward; empty for a token that is none of ours, or without pages. */
    public Optional<String> forward(String token) {
        return page.flatMap(there -> ForwardPage.id(contexts.hops(), token));
    }
}
