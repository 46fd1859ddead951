package app.jubek.server.template;

import app.jubek.core.message.Octets;
import app.jubek.core.outgoing.DocumentOctets;
import app.jubek.core.template.Document;
import app.jubek.core.template.DocumentId;
import app.jubek.server.platform.OctetParts;
import app.jubek.server.platform.Refused;
import java.sql.Date;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The documents of each mailbox: files kept once, and replaced in one place. */
@Service
public class Documents {
    private final JdbcClient jdbc;
    private final OctetParts octets;

    Documents(JdbcClient jdbc) {
        this.jdbc = jdbc;
        this.octets = new OctetParts(jdbc, "document_octets", "document_id");
    }

    /** A document, and who put it in when. */
    record Kept(Document document, Instant at, String by) {}

    /** As answers take them along. */
    @Transactional(readOnly = true)
    public Map<DocumentId, Document> of(UUID mailbox) {
        return all(mailbox).stream().map(Kept::document).collect(Collectors.toMap(Document::id, Function.identity()));
    }

    @Transactional(readOnly = true)
    List<Kept> all(UUID mailbox) {
        return jdbc.sql("select * from document where mailbox_id = ? order by lower(file_name), id")
                .param(mailbox)
                .query((row, n) -> kept(row))
                .list();
    }

    /** Where a composer finds what is in them. */
    @Transactional(readOnly = true)
    public DocumentOctets octets(UUID mailbox) {
        return id -> octets(mailbox, id).all();
    }

    /**
     * @throws Refused as not found, when the mailbox has no such document
     */
    @Transactional(readOnly = true)
    public Octets octets(UUID mailbox, DocumentId id) {
        find(mailbox, id).orElseThrow(Refused::notFound);
        return octets.of(UUID.fromString(id.value()));
    }

    Optional<Kept> find(UUID mailbox, DocumentId id) {
        return jdbc.sql("select * from document where mailbox_id = ? and id::text = ?")
                .params(mailbox, id.value())
                .query((row, n) -> kept(row))
                .optional();
    }

    /** Puts it in, or in the place of the one with its id. */
    @Transactional
    void save(UUID mailbox, Kept kept, byte[] content) {
        UUID id = UUID.fromString(kept.document().id().value());
        describe(mailbox, kept);
        jdbc.sql("delete from document_octets where document_id = ?").param(id).update();
        octets.store(id, Octets.of(content));
    }

    /** Without touching what is in it. */
    @Transactional
    void describe(UUID mailbox, Kept kept) {
        Document document = kept.document();
        int changed = jdbc.sql(
                        "insert into document (id, mailbox_id, file_name, media_type, size, added, look_again_on,"
                                + " saved_at, saved_by) values (?::uuid, ?, ?, ?, ?, ?, ?, ?, ?) on conflict (id) do update set"
                                + " file_name = excluded.file_name, media_type = excluded.media_type, size = excluded.size,"
                                + " added = excluded.added, look_again_on = excluded.look_again_on,"
                                + " saved_at = excluded.saved_at, saved_by = excluded.saved_by"
                                + " where document.mailbox_id = excluded.mailbox_id")
                .params(
                        document.id().value(),
                        mailbox,
                        document.fileName(),
                        document.mediaType(),
                        document.size(),
                        Date.valueOf(document.added()),
                        document.lookAgainOn().map(Date::valueOf).orElse(null),
                        Timestamp.from(kept.at()),
                        kept.by())
                .update();
        if (changed == 0) {
            throw Refused.notFound();
        }
    }

    @Transactional
    void remove(UUID mailbox, DocumentId id) {
        jdbc.sql("delete from document where mailbox_id = ? and id::text = ?")
                .params(mailbox, id.value())
                .update();
    }

    private static Kept kept(ResultSet row) throws SQLException {
        Optional<LocalDate> lookAgainOn =
                Optional.ofNullable(row.getDate("look_again_on")).map(Date::toLocalDate);
        Document document = new Document(
                new DocumentId(row.getString("id")),
                row.getString("file_name"),
                row.getString("media_type"),
                row.getLong("size"),
                row.getDate("added").toLocalDate(),
                lookAgainOn);
        return new Kept(document, row.getTimestamp("saved_at").toInstant(), row.getString("saved_by"));
    }
}
