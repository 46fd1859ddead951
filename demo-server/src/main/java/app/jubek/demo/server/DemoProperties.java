package app.jubek.demo.server;

import java.nio.file.Path;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * @param postOffice where the post office takes commands
 * @param ruleBook the rules to begin with
 * @param cards the people to begin with, if any
 */
@ConfigurationProperties("jubek.demo")
record DemoProperties(
        String postOffice, Path ruleBook, @Nullable Path cards) {
    Optional<Path> people() {
        return Optional.ofNullable(cards);
    }
}
