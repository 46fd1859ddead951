package app.jubek.demo.server;

import java.nio.file.Path;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * @param postOffice where the post office takes commands
 * @param ruleBook the rules to begin with
 * @param cards the people to begin with, if any
 * @param closedDays the calendar of closed days to begin with, if any
 * @param templates the templates to begin with, if any; their documents lie in a folder beside
 */
@ConfigurationProperties("jubek.demo")
record DemoProperties(
        String postOffice,
        Path ruleBook,
        @Nullable Path cards,
        @Nullable Path closedDays,
        @Nullable Path templates) {
    Optional<Path> people() {
        return Optional.ofNullable(cards);
    }

    Optional<Path> calendar() {
        return Optional.ofNullable(closedDays);
    }

    Optional<Path> answers() {
        return Optional.ofNullable(templates);
    }
}
