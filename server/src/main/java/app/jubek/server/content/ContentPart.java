package app.jubek.server.content;

import jakarta.persistence.MappedSuperclass;
import java.time.LocalDate;
import org.hibernate.annotations.Formula;

/** One part of what is kept; its key, of which each kind has its own, names whose it is and which one. */
@MappedSuperclass
abstract class ContentPart {
    private LocalDate storedOn;
    private byte[] bytes;

    @Formula("octet_length(bytes)")
    private long size;
}
