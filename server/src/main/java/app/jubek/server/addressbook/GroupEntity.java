package app.jubek.server.addressbook;

import app.jubek.core.address.MailAddress;
import app.jubek.core.people.PeopleGroup;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.Arrays;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

@Entity
@Table(name = "person_group")
class GroupEntity {
    @Id
    private UUID id;

    private UUID mailboxId;
    private String name;

    @JdbcTypeCode(SqlTypes.ARRAY)
    private String[] members;

    protected GroupEntity() {}

    PeopleGroup group() {
        return new PeopleGroup(
                id.toString(), name, Arrays.stream(members).map(MailAddress::of).toList());
    }
}
