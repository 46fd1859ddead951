package app.jubek.e2e.promises;

import static app.jubek.e2e.promises.Bench.VISITS;
import static org.assertj.core.api.Assertions.assertThat;

import jakarta.mail.Flags;
import jakarta.mail.Folder;
import jakarta.mail.Message;
import java.io.IOException;
import java.util.Arrays;
import org.eclipse.angus.mail.imap.IMAPFolder;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What becomes of work in folders when the mail server lacks something, refuses, or other people act meanwhile. */
class FolderFaultsTest {
    private static Bench bench;
    private static Node node;

    @BeforeAll
    static void open() throws IOException {
        bench = new Bench("folders");
        node = bench.start();
    }

    @AfterAll
    static void close() {
        bench.close();
    }

    @AfterEach
    void nothingIsWrongAnyMore() {
        bench.faults().clear();
        bench.office().breakOff();
    }

    /** Capabilities are asked for once a connection, so connections begin anew. */
    private static void call(String... troubles) {
        Arrays.stream(troubles).forEach(trouble -> bench.faults().call(trouble, 0));
        bench.office().breakOff();
    }

    private static JsonNode step(String subject, String kind, String state) {
        return Bench.step(node, subject, kind, state);
    }

    private static boolean isFiled(String subject) {
        return bench.mail(VISITS, "Seeds", subject).size() == 1
                && bench.mail(VISITS, "INBOX", subject).isEmpty();
    }

    /** Keeps the steps from being done while somebody else acts. */
    private static void meanwhile(String subject, Bench.Looking<Boolean> acting) {
        bench.faults().call("quota-full", 1);
        bench.write(subject, "x");
        Bench.await(
                "it waits",
                () -> Bench.steps(node, subject, "FILE").stream()
                        .anyMatch(s -> Bench.codes(s).contains("MAILBOX_FULL")));
        bench.imap(VISITS, "INBOX", acting);
    }

    private static Message find(Folder folder, String subject) throws jakarta.mail.MessagingException {
        return Arrays.stream(folder.getMessages())
                .filter(m -> {
                    try {
                        return subject.equals(m.getSubject());
                    } catch (jakarta.mail.MessagingException gone) {
                        return false;
                    }
                })
                .findFirst()
                .orElseThrow();
    }

    /** RFC 6851 and RFC 4315 are extensions: without MOVE it is copied and removed, without UIDPLUS looked for. */
    @Test
    void filingGoesWithoutMoveAndWithoutUidplus() {
        call("no-move");
        bench.write("seeds no move", "x");
        step("seeds no move", "FILE", "SENT");
        assertThat(isFiled("seeds no move")).isTrue();
        bench.faults().clear();
        call("no-uidplus");
        bench.write("seeds no uidplus", "x");
        step("seeds no uidplus", "FILE", "SENT");
        assertThat(isFiled("seeds no uidplus")).isTrue();
    }

    /** A bare EXPUNGE would remove what others marked as deleted, so nothing is moved. */
    @Test
    void withNeitherNothingIsMovedAndNothingOfOthersRemoved() {
        call("no-move", "no-uidplus");
        bench.write("seeds neither", "x");
        assertThat(Bench.codes(step("seeds neither", "FILE", "FAILED")))
                .containsExactly("NEITHER_MOVE_NOR_REMOVAL", "MARK_INSTEAD");
        assertThat(bench.mail(VISITS, "INBOX", "seeds neither")).hasSize(1);
    }

    /** RFC 5228 §2.10.3: filed in two folders it lies in both; prefixes of the subject don't hinder "begins". */
    @Test
    void whatIsFiledInTwoFoldersLiesInBoth() {
        bench.write("Re: shelves", "x");
        step("Re: shelves", "COPY", "SENT");
        step("Re: shelves", "FILE", "SENT");
        assertThat(bench.mail(VISITS, "Shelf one", "Re: shelves")).hasSize(1);
        assertThat(bench.mail(VISITS, "Shelf two", "Re: shelves")).hasSize(1);
        assertThat(bench.mail(VISITS, "INBOX", "Re: shelves")).isEmpty();
    }

    @Test
    void newMailIsTakenInWithoutIdle() {
        call("no-idle", "no-special-use");
        bench.write("seeds no idle", "x");
        step("seeds no idle", "FILE", "SENT");
    }

    @Test
    void aServerThatKeepsNoTagsIsSaid() {
        call("keywords-refused");
        bench.write("alarm tags", "x");
        assertThat(Bench.codes(step("alarm tags", "MARK", "FAILED")))
                .containsExactly("FOLDER_KEEPS_NO_TAGS", "REMOVE_TAG");
        bench.faults().clear();
        bench.write("alarm good", "x");
        step("alarm good", "MARK", "SENT");
        assertThat(bench.<Boolean>imap(
                        VISITS,
                        "INBOX",
                        (store, inbox) -> find(inbox, "alarm good").getFlags().contains("glasshouse")))
                .isTrue();
    }

    @Test
    void aFullMailboxIsTriedAgainUntilThereIsRoom() {
        bench.faults().call("quota-full", 2);
        bench.write("seeds quota", "x");
        Bench.await(
                "it is said",
                () -> Bench.steps(node, "seeds quota", "FILE").stream()
                        .anyMatch(s -> Bench.codes(s).contains("MAKE_ROOM")));
        step("seeds quota", "FILE", "SENT");
        assertThat(isFiled("seeds quota")).isTrue();
    }

    @Test
    void aFolderThatMayOnlyBeReadIsSaid() {
        call("read-only-folder");
        bench.write("seeds read only", "x");
        assertThat(Bench.codes(step("seeds read only", "FILE", "FAILED")))
                .containsExactly("FOLDER_READ_ONLY", "ASK_FOR_RIGHT");
        bench.faults().clear();
        assertThat(bench.mail(VISITS, "INBOX", "seeds read only")).hasSize(1);
    }

    @Test
    void aFolderThatSomebodyRenamedIsMadeAnewAndMailInItIsFoundWhereItLies() {
        bench.write("seeds before", "x");
        step("seeds before", "FILE", "SENT");
        bench.imap(VISITS, "INBOX", (store, inbox) -> store.getFolder("Seeds").renameTo(store.getFolder("Old seeds")));
        bench.write("seeds afterwards", "x");
        step("seeds afterwards", "FILE", "SENT");
        assertThat(isFiled("seeds afterwards")).isTrue();
        assertThat(bench.mail(VISITS, "Old seeds", "seeds before")).hasSize(1);
    }

    @Test
    void aMessageThatSomebodyMovedMeanwhileIsLeftToThem() {
        meanwhile("seeds moved", (store, inbox) -> {
            Folder own = store.getFolder("Mine");
            own.create(Folder.HOLDS_MESSAGES);
            ((IMAPFolder) inbox).moveMessages(new Message[] {find(inbox, "seeds moved")}, own);
            return true;
        });
        assertThat(Bench.codes(step("seeds moved", "FILE", "DISCARDED"))).containsExactly("MOVED_MEANWHILE_TO");
    }

    @Test
    void aMessageThatSomebodyDeletedMeanwhileIsSaidToBeDeleted() {
        meanwhile("seeds deleted", (store, inbox) -> {
            find(inbox, "seeds deleted").setFlag(Flags.Flag.DELETED, true);
            inbox.expunge();
            return true;
        });
        assertThat(Bench.codes(step("seeds deleted", "FILE", "DISCARDED"))).containsExactly("DELETED_MEANWHILE");
    }

    @Test
    void aMoveWhoseAnswerWasLostIsNotDoneTwice() {
        bench.faults().call("dropped-after-move", 1);
        bench.write("seeds lost answer", "x");
        step("seeds lost answer", "FILE", "SENT");
        assertThat(isFiled("seeds lost answer")).isTrue();
    }

    /** RFC 9051 §2.3.1.1: after another UIDVALIDITY no UID means what it meant. */
    @Test
    void anInboxThatIsNumberedAnewIsNeitherDecidedAgainNorIsNewMailMissed() {
        bench.write("tour known", "x");
        step("tour known", "REDIRECT", "SENT");
        long decided = bench.count("select count(*) from message where decision is not null");
        bench.office().renumber(VISITS, "INBOX");
        bench.write("tour new", "x");
        step("tour new", "REDIRECT", "SENT");
        assertThat(bench.count("select count(*) from message where decision is not null"))
                .isEqualTo(decided + 1);
        assertThat(bench.mail(Bench.EDUCATION, "INBOX", "tour known")).hasSize(1);
    }

    /** Jubek itself needs at most three connections of a mailbox at once. */
    @Test
    void threeConnectionsAreEnoughAndARefusedOneIsTriedAgain() {
        call("too-many-connections");
        bench.write("seeds connections", "x");
        step("seeds connections", "FILE", "SENT");
    }
}
