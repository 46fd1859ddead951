package app.jubek.e2e.promises;

import static app.jubek.e2e.promises.Bench.EDUCATION;
import static app.jubek.e2e.promises.Bench.VISITS;
import static org.assertj.core.api.Assertions.assertThat;

import jakarta.mail.Message;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/**
 * A catch-up is killed at random points and goes on: in the end the mailbox is as planned, each step in it done once. So is
 * undoing it, and then all lies as before. {@code -Dkills=10} kills more often, {@code -Dseed} repeats a run.
 */
class CatchUpKillTest {
    private static final int KILLS = Integer.getInteger("kills", 2);
    private static final int MESSAGES = 20 + 12 * KILLS;
    private static final String WORD = "group of old";

    private final Random random = new Random(Long.getLong("seed", System.nanoTime()));

    @Test
    void whatIsKilledGoesOnAndTheMailboxIsAsPlannedAndAfterUndoingAsBefore() throws IOException {
        try (Bench bench = new Bench("catchup")) {
            for (int i = 0; i < MESSAGES; i++) {
                bench.write(WORD + " " + i, "x");
            }
            List<String> before = lying(bench, "INBOX");
            Node node = bench.start();
            String catchUp = node.post(
                            "/catch-ups",
                            "{\"rules\":[\"all\"],\"folders\":[\"INBOX\"],\"subfolders\":false,\"days\":30}")
                    .get("id")
                    .stringValue();
            node = started(bench, node, "/catch-ups/" + catchUp);
            node = killed(bench, node);
            Bench.await(
                    "nothing is left to be done",
                    () -> bench.count("select count(*) from step where state in ('SENT', 'UNCERTAIN')")
                            == 2 * MESSAGES);

            assertThat(lying(bench, "Groups")).containsExactlyElementsOf(before);
            assertThat(lying(bench, "INBOX")).isEmpty();
            assertThat(bench.count("select count(*) from step where kind = 'FILE'"))
                    .isEqualTo(MESSAGES);
            assertThat(bench.count("select count(*) from step where kind = 'REPLY'"))
                    .isZero();
            for (int i = 0; i < MESSAGES; i++) {
                handedOnAsPromised(bench, WORD + " " + i);
            }

            node.post("/undo", "{\"catchUp\":\"" + catchUp + "\"}");
            killed(bench, node);
            Bench.await(
                    "all is undone", () -> bench.count("select count(*) from step where state = 'UNDONE'") == MESSAGES);
            assertThat(lying(bench, "INBOX")).containsExactlyElementsOf(before);
            assertThat(lying(bench, "Groups")).isEmpty();
        }
    }

    private static Node started(Bench bench, Node node, String catchUp) {
        Bench.await(
                "it can be looked over",
                () -> node.read(catchUp).get("state").stringValue().equals("READY"));
        JsonNode preview = node.read(catchUp + "/preview?handOvers=true");
        assertThat(preview.get("messages").intValue()).isEqualTo(MESSAGES);
        node.post(catchUp + "/start", "{\"handOvers\":" + MESSAGES + ",\"deletions\":0}");
        return node;
    }

    /** What broke off twice is uncertain; what is said to have left is there, under one Message-ID if it is there twice. */
    private static void handedOnAsPromised(Bench bench, String subject) {
        List<String> copies = bench.mail(EDUCATION, "INBOX", subject);
        long left = bench.count("select count(*) from step s join message m on m.id = s.message_id"
                + " where s.kind = 'REDIRECT' and s.state = 'SENT' and m.subject = '" + subject + "'");
        assertThat(copies.size()).as(subject).isGreaterThanOrEqualTo((int) left);
        assertThat(copies.stream().map(m -> Bench.field(m, "Resent-Message-ID")).distinct())
                .hasSizeLessThanOrEqualTo(1);
    }

    private Node killed(Bench bench, Node first) {
        Node node = first;
        for (int kill = 0; kill < KILLS; kill++) {
            Bench.pause(200 + random.nextInt(1_500));
            node.kill();
            node = bench.start();
        }
        return node;
    }

    /** Subject, marks and time of arrival of each message in a folder; who looks first decides what is recent. */
    private static List<String> lying(Bench bench, String name) {
        return bench.imap(VISITS, name, (store, folder) -> {
            if (!folder.exists()) {
                return List.of();
            }
            var lines = new TreeMap<String, String>();
            for (Message message : folder.getMessages()) {
                String flags =
                        message.getFlags() + " " + List.of(message.getFlags().getUserFlags());
                lines.put(
                        message.getSubject(),
                        flags + " " + message.getReceivedDate().toInstant());
            }
            List<String> all = new ArrayList<>();
            lines.forEach((subject, rest) -> all.add(subject + " " + rest));
            assertThat(all).as("each once").hasSize(folder.getMessageCount());
            return all;
        });
    }
}
