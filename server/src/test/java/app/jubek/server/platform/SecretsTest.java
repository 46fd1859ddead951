package app.jubek.server.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Duration;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.util.unit.DataSize;

class SecretsTest {
    @TempDir
    private Path folder;

    private InstallationKeys keys() {
        Duration any = Duration.ofSeconds(1);
        return new InstallationKeys(new JubekProperties(
                folder,
                any,
                List.of(),
                List.of(),
                any,
                any,
                any,
                any,
                DataSize.ofMegabytes(1),
                DataSize.ofMegabytes(1),
                null,
                new JubekProperties.Web(List.of(), false, null, any),
                new JubekProperties.Composing(null, "", any, false),
                null,
                Map.of(),
                Map.of(),
                null));
    }

    private Secrets secrets() {
        return new Secrets(keys());
    }

    @Test
    void aSealedPasswordOpensWithTheSameKeyAlsoAfterARestart() {
        Secrets.Sealed sealed = secrets().seal("hornbeam ü");
        assertThat(secrets().open(sealed)).isEqualTo("hornbeam ü");
    }

    @Test
    void theSamePasswordNeverLooksTheSameTwice() {
        assertThat(secrets().seal("hornbeam").bytes())
                .isNotEqualTo(secrets().seal("hornbeam").bytes());
    }

    @Test
    void anAlteredOrForeignSecretIsRefusedAndTheKeyIsNamed() throws IOException {
        Secrets.Sealed sealed = secrets().seal("hornbeam");
        sealed.bytes()[20] ^= 1;
        assertThatThrownBy(() -> secrets().open(sealed)).hasMessageContaining("key secrets-1");
        Secrets.Sealed good = secrets().seal("hornbeam");
        Files.delete(folder.resolve("keys/secrets-1"));
        assertThatThrownBy(() -> secrets().open(good)).hasMessageContaining("was the key file replaced?");
    }

    @Test
    void theNewestKeySealsAndOlderOnesStillOpen() throws IOException {
        Secrets.Sealed old = secrets().seal("hornbeam");
        Files.writeString(folder.resolve("keys/secrets-2"), Base64.getEncoder().encodeToString(new byte[32]));
        assertThat(secrets().seal("hornbeam").keyId()).isEqualTo("secrets-2");
        assertThat(secrets().open(old)).isEqualTo("hornbeam");
    }

    @Test
    void keyFilesAreReadableByTheirOwnerOnly() throws IOException {
        keys().key("hop-mark");
        Path file = folder.resolve("keys/hop-mark");
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(file)))
                .isEqualTo("rw-------");
        assertThat(keys().key("hop-mark")).hasSize(32).isEqualTo(keys().key("hop-mark"));
    }
}
