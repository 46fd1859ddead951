package app.jubek.demo.postoffice;

import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;

/** Recipients that are refused on command, with an SMTP code and a number of times. */
final class Refusals {
    private final Map<String, Refusal> byRecipient = new ConcurrentHashMap<>();

    private record Refusal(int code, int times) {}

    void set(String recipient, int code, int times) {
        byRecipient.put(recipient.toLowerCase(Locale.ROOT), new Refusal(code, times));
    }

    /** The code to refuse with this time, counted down. */
    synchronized Optional<Integer> refuse(String recipient) {
        String key = recipient.toLowerCase(Locale.ROOT);
        Refusal refusal = byRecipient.remove(key);
        if (refusal != null && refusal.times() > 1) {
            byRecipient.put(key, new Refusal(refusal.code(), refusal.times() - 1));
        }
        return Optional.ofNullable(refusal).map(Refusal::code);
    }
}
