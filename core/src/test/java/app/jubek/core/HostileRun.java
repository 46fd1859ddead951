package app.jubek.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowable;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** A longer run, for bin/soak: real messages of long ago, spoilt at random, are all decided. */
class HostileRun {
    private static final int MESSAGES = Integer.getInteger("soak.messages", 100_000);
    private static final long SEED = Long.getLong("soak.seed", 20261128L);
    private static final List<String> SIGNS = signs();

    private final Random random = new Random(SEED);

    private static List<String> signs() {
        List<String> signs = new ArrayList<>();
        for (List<String> some : List.of(
                Hostile.ADDRESSES,
                Hostile.WORDS,
                Hostile.PARAMETERS,
                Hostile.STRUCTURED,
                Hostile.IDS,
                Hostile.SUBJECTS,
                Hostile.MARKUP)) {
            signs.addAll(some);
        }
        signs.addAll(List.of("\r\n", "\r\n\r\n", "\n", "\0", "--", ": ", "\r\nFrom: a@b.example"));
        return signs;
    }

    @Test
    void everySpoiltMessageIsDecided() {
        List<byte[]> open = OpenMail.files().stream().map(OpenMail::bytes).toList();
        List<String> failed = new ArrayList<>();
        long began = System.nanoTime();
        for (int i = 0; i < MESSAGES; i++) {
            byte[] spoilt = spoilt(open.get(random.nextInt(open.size())));
            Throwable broken = catchThrowable(() -> EveryKindOfRule.handled(spoilt));
            if (broken != null) {
                failed.add("message " + i + ": " + broken);
            }
        }
        System.out.printf(
                "%d spoilt messages, seed %d, %d failed, %d s%n",
                MESSAGES, SEED, failed.size(), (System.nanoTime() - began) / 1_000_000_000L);
        assertThat(failed).isEmpty();
    }

    private byte[] spoilt(byte[] mail) {
        byte[] spoilt = mail;
        for (int times = 1 + random.nextInt(6); times > 0; times--) {
            spoilt = spoiltOnce(spoilt);
        }
        return spoilt;
    }

    /** Something goes, something comes in, some bytes change, or a piece comes twice. Mostly in the header. */
    private byte[] spoiltOnce(byte[] mail) {
        int matches = random.nextInt(4) == 0 ? mail.length : Math.min(mail.length, 3_000);
        int at = random.nextInt(Math.max(1, matches));
        int length = Math.min(mail.length - at, 1 + random.nextInt(80));
        return switch (random.nextInt(5)) {
            case 0 -> joined(mail, at, new byte[0], at + length);
            case 1 -> joined(mail, at, sign().repeat(1 + random.nextInt(200)).getBytes(), at);
            case 2 -> joined(mail, at, noise(length), at + length);
            case 3 -> joined(mail, at + length, Arrays.copyOfRange(mail, at, at + length), at);
            default -> joined(mail, at, sign().getBytes(), at);
        };
    }

    private String sign() {
        return SIGNS.get(random.nextInt(SIGNS.size()));
    }

    private byte[] noise(int length) {
        byte[] noise = new byte[length];
        random.nextBytes(noise);
        return noise;
    }

    private static byte[] joined(byte[] mail, int before, byte[] between, int after) {
        byte[] all = Arrays.copyOf(mail, before + between.length + mail.length - after);
        System.arraycopy(between, 0, all, before, between.length);
        System.arraycopy(mail, after, all, before + between.length, mail.length - after);
        return all;
    }
}
