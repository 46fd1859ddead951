package app.jubek.demo.server;

import app.jubek.core.reading.MessageReading;
import app.jubek.core.text.Limits;
import java.time.Instant;
import java.util.List;
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

/** The post office's own interface, handed through to the place Outside. */
@RestController
@RequestMapping("/api/outside")
class OutsideController {
    private final SimulatedPostOffice postOffice;
    private final MessageReading reading = new MessageReading(Limits.standard());

    OutsideController(SimulatedPostOffice postOffice) {
        this.postOffice = postOffice;
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

    @GetMapping("/mailboxes")
    List<Box> mailboxes() {
        return postOffice.asked(
                http -> http.get().uri("/mailboxes").retrieve().body(new ParameterizedTypeReference<>() {}));
    }

    @GetMapping("/messages")
    List<Letter> messages(@RequestParam String address) {
        return postOffice.asked(http -> http.get()
                .uri("/messages?address={address}", address)
                .retrieve()
                .body(new ParameterizedTypeReference<>() {}));
    }

    @GetMapping(value = "/raw", produces = MediaType.TEXT_PLAIN_VALUE)
    ResponseEntity<byte[]> raw(@RequestParam String address, @RequestParam String folder, @RequestParam long uid) {
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("text/plain;charset=utf-8"))
                .body(bytes(address, folder, uid));
    }

    private byte[] bytes(String address, String folder, long uid) {
        return postOffice.asked(http -> http.get()
                .uri("/raw?address={address}&folder={folder}&uid={uid}", address, folder, uid)
                .retrieve()
                .body(byte[].class));
    }

    /** What a message says, as plain text. */
    @GetMapping(value = "/text", produces = MediaType.TEXT_PLAIN_VALUE)
    String text(@RequestParam String address, @RequestParam String folder, @RequestParam long uid) {
        return String.join("\n\n", reading.read(bytes(address, folder, uid)).texts());
    }

    @PostMapping("/write")
    void write(@RequestBody Written written) {
        postOffice.asked(http -> http.post()
                .uri("/write")
                .contentType(MediaType.APPLICATION_JSON)
                .body(written)
                .retrieve()
                .toBodilessEntity());
    }

    @GetMapping("/clock")
    SimulatedPostOffice.DemoClock clock() {
        return postOffice.clock();
    }

    @PutMapping("/clock")
    SimulatedPostOffice.DemoClock move(@RequestBody SimulatedPostOffice.ClockMove move) {
        return postOffice.move(move);
    }

    @GetMapping("/traffic")
    SimulatedPostOffice.Traffic traffic() {
        return postOffice.traffic();
    }

    @PutMapping("/traffic")
    SimulatedPostOffice.Traffic changeTraffic(@RequestBody SimulatedPostOffice.Pace pace) {
        return postOffice.change(pace);
    }
}
