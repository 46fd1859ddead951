package app.jubek.server.catchup;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;

/** A step that a catch-up planned. */
@Entity
@Table(name = "catch_up_step")
class CatchUpStepEntity {
    @Id
    @Column(name = "step_id")
    private UUID step;

    @Column(name = "catch_up_id")
    private UUID catchUp;

    protected CatchUpStepEntity() {}

    CatchUpStepEntity(UUID step, UUID catchUp) {
        this.step = step;
        this.catchUp = catchUp;
    }
}
