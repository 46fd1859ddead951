package app.jubek.server;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;
import org.springframework.scheduling.annotation.EnableScheduling;

/** The server: watches mailboxes, decides, acts, and serves the API and the page. */
@SpringBootApplication
@ConfigurationPropertiesScan
@EnableScheduling
public class JubekApplication {
    public static void main(String[] arguments) {
        SpringApplication.run(JubekApplication.class, arguments);
    }
}
