package app.jubek.demo.server;

import org.springframework.boot.autoconfigure.AutoConfiguration;
import org.springframework.boot.context.properties.EnableConfigurationProperties;
import org.springframework.context.annotation.Import;

@AutoConfiguration
@EnableConfigurationProperties(DemoProperties.class)
@Import({OstrelGardens.class, SimulatedPostOffice.class, LastWeek.class, OutsideController.class})
class DemoServer {}
