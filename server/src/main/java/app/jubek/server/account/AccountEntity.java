package app.jubek.server.account;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

@Entity
@Table(name = "account")
class AccountEntity {
    @Id
    private UUID id;

    private String signIn;
    private String name;
    private String passwordHash;
    private Instant createdAt;

    protected AccountEntity() {}

    AccountEntity(UUID id, String signIn, String name, String passwordHash, Instant createdAt) {
        this.id = id;
        this.signIn = signIn;
        this.name = name;
        this.passwordHash = passwordHash;
        this.createdAt = createdAt;
    }

    UUID id() {
        return id;
    }

    String signIn() {
        return signIn;
    }

    String name() {
        return name;
    }

    void setPasswordHash(String hash) {
        passwordHash = hash;
    }

    String passwordHash() {
        return passwordHash;
    }
}
