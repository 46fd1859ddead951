package app.jubek.server.account;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface AccountRepository extends JpaRepository<AccountEntity, UUID> {
    @Query("select a from AccountEntity a where a.signIn = :signIn")
    Optional<AccountEntity> named(String signIn);
}
