package app.jubek.server.undo;

import app.jubek.server.folders.StepTrace;
import app.jubek.server.mailbox.Fetched;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.Arrays;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

/** How things were before a step, where its message or copy lies after it, and the step that undoes it. */
@Entity
@Table(name = "step_trace")
class StepTraceEntity {
    @Id
    @Column(name = "step_id")
    private UUID step;

    private String folder;
    private long uidValidity;
    private long uid;

    @JdbcTypeCode(SqlTypes.ARRAY)
    private String[] flags;

    @JdbcTypeCode(SqlTypes.ARRAY)
    private Long[] likes;

    private @Nullable String afterFolder;
    private long afterValidity;
    private long afterUid;
    private @Nullable UUID undoneBy;

    protected StepTraceEntity() {}

    StepTraceEntity(UUID step, StepTrace.Before before) {
        this.step = step;
        this.folder = before.place().folder();
        this.uidValidity = before.place().uidValidity();
        this.uid = before.place().uid();
        this.flags = before.flags().toArray(String[]::new);
        this.likes = before.alike().toArray(Long[]::new);
    }

    void liesAt(Fetched.Place place) {
        afterFolder = place.folder();
        afterValidity = place.uidValidity();
        afterUid = place.uid();
    }

    void undoneBy(UUID undo) {
        undoneBy = undo;
    }

    UUID step() {
        return step;
    }

    StepTrace.Before before() {
        return new StepTrace.Before(
                new Fetched.Place(folder, uidValidity, uid),
                Set.of(flags),
                Arrays.stream(likes).collect(Collectors.toSet()));
    }

    /** Empty where the step changed marks alone. */
    Optional<Fetched.Place> after() {
        return Optional.ofNullable(afterFolder).map(name -> new Fetched.Place(name, afterValidity, afterUid));
    }
}
