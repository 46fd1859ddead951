package app.jubek.server;

import java.time.Duration;
import java.util.function.BooleanSupplier;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.context.annotation.Import;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;

/** The whole server on a real database and a real post office; one of it serves all tests. */
@Import(OtherWords.class)
@SpringBootTest(webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT)
public abstract class ServerContext {
    private static final Duration PATIENCE = Duration.ofMinutes(2);

    @DynamicPropertySource
    static void properties(DynamicPropertyRegistry registry) {
        World.get().properties(registry);
    }

    private static boolean holds(BooleanSupplier holds) {
        try {
            return holds.getAsBoolean();
        } catch (IllegalStateException changing) {
            return false;
        }
    }

    protected static void await(String what, BooleanSupplier holds) {
        long end = System.nanoTime() + PATIENCE.toNanos();
        while (!holds(holds)) {
            if (System.nanoTime() > end) {
                throw new AssertionError("waited in vain: " + what);
            }
            try {
                Thread.sleep(30);
            } catch (InterruptedException stopped) {
                Thread.currentThread().interrupt();
            }
        }
    }
}
