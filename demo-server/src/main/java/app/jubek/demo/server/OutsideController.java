package app.jubek.demo.server;

import app.jubek.server.platform.MovableClock;
import app.jubek.server.platform.Refused;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.ParameterizedTypeReference;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.client.RestClient;
import org.springframework.web.client.RestClientException;
import org.springframework.web.client.RestClientResponseException;

/** The post office's own interface, handed through to the place Outside. */
@RestController
@RequestMapping("/api/outside")
class OutsideController {
    private final RestClient postOffice;
    private final MovableClock clock;

    OutsideController(DemoProperties demo, MovableClock clock) {
        this.postOffice = RestClient.create(demo.postOffice());
        this.clock = clock;
    }

    record Box(String address, int messages) {}

    record Letter(
            String folder,
            long uid,
            String from,
            String to,
            String subject,
            Instant received,
            boolean unread,
            boolean flagged) {}

    record Written(String from, String to, String subject, String text) {}

    record DemoClock(long offsetSeconds, Instant now) {}

    record ClockMove(long offsetSeconds) {}

    @EventListener(ApplicationReadyEvent.class)
    void followClock() {
        clock();
    }

    @GetMapping("/mailboxes")
    List<Box> mailboxes() {
        return asked(() -> postOffice.get().uri("/mailboxes").retrieve().body(new ParameterizedTypeReference<>() {}));
    }

    @GetMapping("/messages")
    List<Letter> messages(@RequestParam String address) {
        return asked(() -> postOffice
                .get()
                .uri("/messages?address={address}", address)
                .retrieve()
                .body(new ParameterizedTypeReference<>() {}));
    }

    @GetMapping(value = "/raw", produces = MediaType.TEXT_PLAIN_VALUE)
    ResponseEntity<byte[]> raw(@RequestParam String address, @RequestParam String folder, @RequestParam long uid) {
        byte[] bytes = asked(() -> postOffice
                .get()
                .uri("/raw?address={address}&folder={folder}&uid={uid}", address, folder, uid)
                .retrieve()
                .body(byte[].class));
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("text/plain;charset=utf-8"))
                .body(bytes);
    }

    @PostMapping("/write")
    void write(@RequestBody Written written) {
        asked(() -> postOffice
                .post()
                .uri("/write")
                .contentType(MediaType.APPLICATION_JSON)
                .body(written)
                .retrieve()
                .toBodilessEntity());
    }

    @GetMapping("/clock")
    DemoClock clock() {
        return told(asked(() -> postOffice.get().uri("/clock").retrieve().body(ClockMove.class)));
    }

    @PutMapping("/clock")
    DemoClock move(@RequestBody ClockMove move) {
        return told(asked(() -> postOffice
                .put()
                .uri("/clock")
                .contentType(MediaType.APPLICATION_JSON)
                .body(move)
                .retrieve()
                .body(ClockMove.class)));
    }

    private DemoClock told(ClockMove move) {
        clock.moveBy(Duration.ofSeconds(move.offsetSeconds()));
        return new DemoClock(move.offsetSeconds(), clock.instant());
    }

    private static <T> T asked(java.util.function.Supplier<T> call) {
        try {
            return call.get();
        } catch (RestClientResponseException refused) {
            throw new IllegalArgumentException(
                    "The post office refused: " + refused.getResponseBodyAsString(), refused);
        } catch (RestClientException away) {
            throw Refused.unavailable("The post office does not answer. Is the demo still running?");
        }
    }
}
