package app.jubek.server;

import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;

/** The whole server on a real database and a real post office; one of it serves all tests. */
@SpringBootTest(webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT)
public abstract class ServerContext {
    @DynamicPropertySource
    static void properties(DynamicPropertyRegistry registry) {
        World.get().properties(registry);
    }
}
