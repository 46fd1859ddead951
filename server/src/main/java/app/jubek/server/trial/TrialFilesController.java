package app.jubek.server.trial;

import app.jubek.core.message.ByteSource;
import app.jubek.formats.rulebook.FormatException;
import app.jubek.formats.trial.TrialJson;
import app.jubek.formats.trial.WrittenTrial;
import app.jubek.server.account.Allowed;
import app.jubek.server.account.SignedIn;
import app.jubek.server.platform.Refused;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;

/** Trials as files in a zip archive, as docs/formats/trials.md describes them. */
@RestController
class TrialFilesController {
    private static final String ARCHIVE = "application/zip";
    private static final String MESSAGE = ".eml";
    private static final String BESIDE = ".trial.json";
    private static final int MOST_FILES = 4_000;
    private static final long MOST_BYTES = 64L << 20;

    private final Trials trials;

    TrialFilesController(Trials trials) {
        this.trials = trials;
    }

    @GetMapping(value = "/api/mailboxes/{mailbox}/trials/files", produces = ARCHIVE)
    ResponseEntity<byte[]> trialFiles(@Allowed UUID mailbox) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes, StandardCharsets.UTF_8)) {
            int number = 0;
            long left = MOST_BYTES;
            for (KeptTrial kept : trials.all(mailbox)) {
                left -= trials.bytes(kept).size();
                if (left < 0) {
                    throw tooMuch();
                }
                String name = String.format("%04d", ++number);
                zip.putNextEntry(new ZipEntry(name + MESSAGE));
                try (InputStream in = trials.bytes(kept).open()) {
                    in.transferTo(zip);
                }
                zip.putNextEntry(new ZipEntry(name + BESIDE));
                zip.write(TrialJson.write(kept.written()).getBytes(StandardCharsets.UTF_8));
            }
        }
        String disposition =
                ContentDisposition.attachment().filename("trials.zip").build().toString();
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, disposition)
                .contentType(MediaType.parseMediaType(ARCHIVE))
                .body(bytes.toByteArray());
    }

    /**
     * @param notTaken which files were left out, and why
     */
    record TrialsTaken(int taken, List<String> notTaken) {}

    @PostMapping(value = "/api/mailboxes/{mailbox}/trials/files", consumes = MediaType.ALL_VALUE)
    TrialsTaken takeTrials(@AuthenticationPrincipal SignedIn who, @Allowed UUID mailbox, InputStream archive) {
        Map<String, byte[]> files = files(archive);
        List<String> notTaken = new ArrayList<>();
        int taken = 0;
        for (Map.Entry<String, byte[]> file : files.entrySet()) {
            if (file.getKey().endsWith(BESIDE)) {
                Optional<String> why = take(mailbox, file.getKey(), files, who);
                why.ifPresent(notTaken::add);
                taken += why.isEmpty() ? 1 : 0;
            }
        }
        if (taken == 0 && notTaken.isEmpty()) {
            throw Refused.invalid(
                    "There are no trials in this file: it must be a zip archive with NAME.eml and NAME.trial.json.",
                    List.of());
        }
        return new TrialsTaken(taken, notTaken);
    }

    /** Empty when it was taken, else why not. */
    private Optional<String> take(UUID mailbox, String beside, Map<String, byte[]> files, SignedIn who) {
        String mail = beside.substring(0, beside.length() - BESIDE.length()) + MESSAGE;
        Optional<byte[]> message = Optional.ofNullable(files.get(mail));
        if (message.isEmpty()) {
            return Optional.of(beside + ": there is no " + mail + " beside it");
        }
        try {
            WrittenTrial written = TrialJson.read(
                    new String(Optional.ofNullable(files.get(beside)).orElseThrow(), StandardCharsets.UTF_8));
            trials.keep(mailbox, written, ByteSource.of(message.get()), who.shownName());
            return Optional.empty();
        } catch (FormatException | Refused wrong) {
            return Optional.of(beside + ": " + wrong.getMessage());
        }
    }

    private static Refused tooMuch() {
        return Refused.invalid(
                "That is too much for one archive: at most " + MOST_FILES / 2 + " trials of " + (MOST_BYTES >> 20)
                        + " MB together.",
                List.of());
    }

    /** By name; an archive that says it holds little may hold much. */
    private static Map<String, byte[]> files(InputStream archive) {
        Map<String, byte[]> files = new TreeMap<>();
        long left = MOST_BYTES;
        try (ZipInputStream zip = new ZipInputStream(archive, StandardCharsets.UTF_8)) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                byte[] bytes = zip.readNBytes((int) left + 1);
                left -= bytes.length;
                if (left < 0 || files.size() >= MOST_FILES) {
                    throw tooMuch();
                }
                files.put(entry.getName(), bytes);
            }
            return files;
        } catch (ZipException broken) {
            throw Refused.invalid("This is no zip archive that can be read.", List.of());
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
    }
}
