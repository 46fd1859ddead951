package app.jubek.demo.faults;

import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** What is to go wrong now. Safe for use by several threads. */
public final class FaultBench {
    private static final int ALWAYS = Integer.MAX_VALUE;

    private final Map<Trouble, Integer> times = new LinkedHashMap<>();
    private final Map<String, Refusal> refusals = new TreeMap<>();
    private int waiting;
    private long released;

    private record Refusal(int code, int times) {}

    /** Calls for a trouble, so many times; 0 for until further notice. */
    public synchronized void call(String trouble, int howOften) {
        times.put(Trouble.named(trouble), howOften == 0 ? ALWAYS : howOften);
    }

    /** Refuses mail to one recipient with an SMTP code, so many times. */
    public synchronized void refuse(String recipient, int code, int howOften) {
        refusals.put(recipient.toLowerCase(Locale.ROOT), new Refusal(code, howOften));
    }

    /** Ends all troubles and lets go what is held. */
    public synchronized void clear() {
        times.clear();
        refusals.clear();
        release();
    }

    /** Lets go what is held. */
    public synchronized void release() {
        released++;
        notifyAll();
    }

    /** How many conversations stand still. */
    public synchronized int waiting() {
        return waiting;
    }

    synchronized boolean isOn(Trouble trouble) {
        return times.containsKey(trouble);
    }

    /** The fault that strikes here, counted down. */
    synchronized Optional<Fault> strike(Stage stage, String line) {
        Optional<Fault> refused = stage == Stage.SMTP_COMMAND ? refusal(line) : Optional.empty();
        if (refused.isPresent()) {
            return refused;
        }
        for (Trouble trouble : times.keySet()) {
            Optional<Fault> fault = trouble.faults().stream()
                    .filter(f -> f.strikes(stage, line))
                    .findFirst();
            if (fault.isPresent()) {
                countDown(trouble, stage);
                return fault;
            }
        }
        return Optional.empty();
    }

    private void countDown(Trouble trouble, Stage stage) {
        boolean counts = stage != Stage.SERVER_LINE;
        if (counts && times.get(trouble) != ALWAYS && times.merge(trouble, -1, Integer::sum) == 0) {
            times.remove(trouble);
        }
    }

    private Optional<Fault> refusal(String line) {
        for (Map.Entry<String, Refusal> entry : refusals.entrySet()) {
            boolean meant = line.toLowerCase(Locale.ROOT).startsWith("rcpt to:<" + entry.getKey() + ">");
            if (meant) {
                Refusal refusal = entry.getValue();
                if (refusal.times() == 1) {
                    refusals.remove(entry.getKey());
                } else {
                    entry.setValue(new Refusal(refusal.code(), refusal.times() - 1));
                }
                return Optional.of(Fault.answer(Stage.SMTP_COMMAND, "", refusal.code() + " " + "refused on command"));
            }
        }
        return Optional.empty();
    }

    /** Stands still until released. */
    synchronized void hold() {
        long before = released;
        waiting++;
        try {
            while (released == before) {
                wait();
            }
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        } finally {
            waiting--;
        }
    }

    /** A line of the server with everything hidden or changed that is to be. */
    String shown(String line) {
        String shown = line;
        for (Optional<Fault> fault = strike(Stage.SERVER_LINE, shown);
                fault.isPresent();
                fault = strike(Stage.SERVER_LINE, shown)) {
            String rewritten =
                    fault.get().on().matcher(shown).replaceAll(fault.get().text());
            if (rewritten.equals(shown)) {
                break;
            }
            shown = rewritten;
        }
        return shown;
    }
}
