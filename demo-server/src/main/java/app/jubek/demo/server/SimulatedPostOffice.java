package app.jubek.demo.server;

import app.jubek.server.platform.MovableClock;
import app.jubek.server.platform.Refused;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.function.Function;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.client.RestClient;
import org.springframework.web.client.RestClientException;
import org.springframework.web.client.RestClientResponseException;

/** The post office of the simulated world. Its clock is this server's, too. */
@Component
class SimulatedPostOffice {
    private final RestClient http;
    private final MovableClock clock;

    SimulatedPostOffice(DemoProperties demo, MovableClock clock) {
        this.http = RestClient.create(demo.postOffice());
        this.clock = clock;
    }

    record DemoClock(long offsetSeconds, Instant now) {}

    record ClockMove(long offsetSeconds) {}

    /**
     * @param everySeconds at least between two messages, and at most twice as long
     */
    record Pace(boolean paused, int everySeconds) {}

    /**
     * @param delivered messages that the last hours brought, where one was asked for
     * @param weekLeft messages of the last week that are still to come
     */
    record Traffic(int delivered, int weekLeft, boolean paused, int everySeconds) {}

    <T> T asked(Function<RestClient, T> call) {
        try {
            return call.apply(http);
        } catch (RestClientResponseException refused) {
            throw new IllegalArgumentException(
                    "The post office refused: " + refused.getResponseBodyAsString(), refused);
        } catch (RestClientException away) {
            throw Refused.unavailable("The post office does not answer. Is the demo still running?");
        }
    }

    DemoClock clock() {
        return told(asked(http -> http.get().uri("/clock").retrieve().body(ClockMove.class)));
    }

    /** Forward only: mail, schedules and answers of a time that is still to come would make no sense. */
    DemoClock move(ClockMove move) {
        if (move.offsetSeconds() < clock.offset().toSeconds()) {
            throw Refused.invalid(
                    "The demo’s clock goes forward only. “bin/demo --fresh” begins again at today’s time.", List.of());
        }
        return told(asked(http -> http.put()
                .uri("/clock")
                .contentType(MediaType.APPLICATION_JSON)
                .body(move)
                .retrieve()
                .body(ClockMove.class)));
    }

    Traffic traffic() {
        return asked(http -> http.get().uri("/traffic").retrieve().body(Traffic.class));
    }

    Traffic change(Pace pace) {
        return asked(http -> http.put()
                .uri("/traffic")
                .contentType(MediaType.APPLICATION_JSON)
                .body(pace)
                .retrieve()
                .body(Traffic.class));
    }

    /** Brings the next hours of the week, and goes along with the clock. */
    Traffic nextHours() {
        Traffic brought = asked(http -> http.post().uri("/traffic").retrieve().body(Traffic.class));
        clock();
        return brought;
    }

    private DemoClock told(ClockMove move) {
        clock.moveBy(Duration.ofSeconds(move.offsetSeconds()));
        return new DemoClock(move.offsetSeconds(), clock.instant());
    }
}
