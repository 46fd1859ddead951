package app.jubek.demo.recipients;

import app.jubek.core.address.MailAddress;
import app.jubek.core.exchange.Correspondent;
import app.jubek.core.exchange.Posted;
import app.jubek.core.reading.MessageReading;
import app.jubek.core.text.Limits;
import java.time.InstantSource;
import java.time.ZoneOffset;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicLong;

/**
 * Those who answer by themselves: addresses whose local part begins with "person.", with "away." (an automatic reply that
 * keeps to RFC 3834) or with "answers." (a program that answers everything).
 */
public final class Answering {
    private static final Map<String, Correspondent> WAYS = Map.of(
            "person.", Correspondent.PERSON,
            "away.", Correspondent.AUTOMATIC_REPLIER,
            "answers.", Correspondent.ANSWERS_EVERYTHING);

    private final InstantSource clock;
    private final Map<String, Set<String>> answered = new ConcurrentHashMap<>();
    private final AtomicLong count = new AtomicLong();

    public Answering(InstantSource clock) {
        this.clock = clock;
    }

    /**
     * The answer to one message; empty where there is none.
     *
     * @param arrived with its trace fields
     */
    public Optional<Posted> to(byte[] arrived, String recipient) {
        String self = recipient.toLowerCase(Locale.ROOT);
        return WAYS.keySet().stream()
                .filter(self::startsWith)
                .findFirst()
                .map(WAYS::get)
                .flatMap(correspondent -> answer(correspondent, arrived, self));
    }

    private Optional<Posted> answer(Correspondent correspondent, byte[] arrived, String self) {
        MailAddress address = MailAddress.of(self);
        Set<String> before = answered.computeIfAbsent(self, key -> ConcurrentHashMap.newKeySet());
        String id = "<answer-" + clock.instant().toEpochMilli() + "-" + count.incrementAndGet() + "@" + address.domain()
                + ">";
        Optional<Posted> answer = correspondent.answer(
                new MessageReading(Limits.standard()).read(arrived),
                address,
                before,
                id,
                clock.instant().atZone(ZoneOffset.UTC));
        answer.ifPresent(posted -> posted.to().forEach(to -> before.add(to.key())));
        return answer;
    }
}
