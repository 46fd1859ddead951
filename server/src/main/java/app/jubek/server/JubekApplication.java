package app.jubek.server;

import app.jubek.server.platform.SettingFault;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;
import org.springframework.data.jpa.repository.config.EnableJpaRepositories;
import org.springframework.scheduling.annotation.EnableScheduling;

/** The server: watches mailboxes, decides, acts, and serves the API and the page. */
@SpringBootApplication
@ConfigurationPropertiesScan
@EnableScheduling
@EnableJpaRepositories(queryEnhancerSelector = QueriesAsWritten.class)
public class JubekApplication {
    public static void main(String[] arguments) {
        try {
            SpringApplication.run(JubekApplication.class, arguments);
        } catch (RuntimeException failed) {
            SettingFault fault = SettingFault.behind(failed).orElseThrow(() -> failed);
            System.err.println("Jubek does not start. " + fault.getMessage());
            System.exit(2);
        }
    }
}
