package app.jubek.server.addressbook;

import app.jubek.core.address.MailAddress;
import app.jubek.core.people.Person;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.Arrays;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

@Entity
@Table(name = "person")
class PersonEntity {
    @Id
    private UUID id;

    private UUID mailboxId;
    private String name;

    @JdbcTypeCode(SqlTypes.ARRAY)
    private String[] addresses;

    private String organisation;
    private String phone;
    private String note;

    protected PersonEntity() {}

    Person person() {
        return new Person(
                id.toString(),
                name,
                Arrays.stream(addresses).map(MailAddress::of).toList(),
                organisation,
                phone,
                note);
    }
}
