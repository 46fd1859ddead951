package app.jubek.server;

import app.jubek.core.wording.Wording;
import com.ibm.icu.util.ULocale;
import java.util.stream.Collectors;
import org.springframework.boot.test.context.TestConfiguration;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Primary;

/**
 * A language of its own for all tests of the server: each statement is told as its code and its arguments. Whatever decided
 * by English words would fail in it.
 */
@TestConfiguration
class OtherWords {
    @Bean
    @Primary
    static Wording codesAndArguments() {
        return new Wording(
                ULocale.ROOT,
                Wording.english().codes().stream()
                        .collect(Collectors.toMap(code -> code, code -> "«" + code + "» {0} {1} {2} {3}")));
    }
}
