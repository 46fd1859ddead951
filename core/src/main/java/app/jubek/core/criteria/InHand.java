package app.jubek.core.criteria;

import app.jubek.core.address.MailAddress;
import app.jubek.core.message.AddedText;
import app.jubek.core.message.Attachment;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.message.ReturnPath;
import app.jubek.core.message.Role;
import app.jubek.core.message.Subjects;
import app.jubek.core.text.Budget;
import app.jubek.core.text.Comparison;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;

/** A message that was read, as criteria look at it: one that has just come in, or one of past mail. */
public final class InHand implements Searchable {
    private final ReadMessage message;
    private final Setting setting;
    private final Budget budget;
    private final Map<Seen, List<String>> compared = new ConcurrentHashMap<>(2);

    private record Seen(Part atom, Comparison comparison) {}

    public InHand(ReadMessage message, Setting setting) {
        this(message, setting, Budget.UNLIMITED);
    }

    /**
     * @param budget what looking at it may cost
     */
    public InHand(ReadMessage message, Setting setting, Budget budget) {
        this.message = message;
        this.setting = setting;
        this.budget = budget;
    }

    public Budget budget() {
        return budget;
    }

    public ReadMessage message() {
        return message;
    }

    public Setting setting() {
        return setting;
    }

    @Override
    public List<String> texts(Part atom, Comparison comparison) {
        return compared.computeIfAbsent(
                new Seen(atom, comparison),
                seen -> written(atom).stream()
                        .map(text -> comparison.apply(text, budget))
                        .toList());
    }

    /** The texts of one part as they are displayed. */
    public List<String> written(Part atom) {
        return switch (atom.kind()) {
            case SUBJECT -> subject();
            case BARE_SUBJECT -> subject().stream().map(Subjects::bare).toList();
            case TEXT -> message.texts();
            case ADDED_TEXT -> message.texts().stream().map(AddedText::of).toList();
            case FIELD -> message.values(atom.field());
            case ATTACHMENT_NAME ->
                attachments().map(Attachment::name).filter(n -> !n.isEmpty()).toList();
            case ATTACHMENT_TYPE -> attachments().map(Attachment::mediaType).toList();
            case MAILBOX -> List.of(setting.mailbox());
            case FOLDER -> List.of(setting.folder());
            case DATE -> DatePieces.of(atom.field(), message, setting).stream().toList();
            case RETURN_PATH, DELIVERED_TO -> envelope(atom);
            default -> named(atom);
        };
    }

    private List<String> subject() {
        return message.has("Subject") ? List.of(message.subject()) : List.of();
    }

    private Stream<Attachment> attachments() {
        return message.attachments().stream();
    }

    private List<String> envelope(Part atom) {
        if (atom.kind() == Part.Kind.RETURN_PATH && message.returnPath() instanceof ReturnPath.Null) {
            return List.of("");
        }
        return pieces(who(atom.kind()).stream(), atom.piece());
    }

    private List<String> named(Part atom) {
        return switch (atom.kind()) {
            case SENDER_NAME -> names(message.in(Role.FROM));
            case RECIPIENT_NAME -> names(message.recipients());
            case TO_NAME -> names(message.in(Role.TO));
            case CC_NAME -> names(message.in(Role.CC));
            case ADDRESS -> pieces(message.addressesIn(atom.field()).stream(), atom.piece());
            default -> who(atom.kind()).stream().map(MailAddress::key).toList();
        };
    }

    private static List<String> names(List<MailAddress> addresses) {
        return addresses.stream()
                .map(MailAddress::name)
                .filter(n -> !n.isEmpty())
                .toList();
    }

    private static List<String> pieces(Stream<MailAddress> addresses, Part.Piece piece) {
        return switch (piece) {
            case ALL -> addresses.map(MailAddress::address).toList();
            case LOCAL -> addresses.map(MailAddress::local).toList();
            case DOMAIN -> addresses.map(MailAddress::domain).toList();
            case USER ->
                addresses
                        .map(a -> a.detail().isPresent()
                                ? a.local().substring(0, a.local().indexOf('+'))
                                : a.local())
                        .toList();
            case DETAIL -> addresses.flatMap(a -> a.detail().stream()).toList();
        };
    }

    @Override
    public List<String> addresses(AddressTest.Part part) {
        List<MailAddress> found = switch (part) {
            case SENDER -> who(Part.Kind.SENDER);
            case RECIPIENT -> who(Part.Kind.RECIPIENT);
            case TO -> who(Part.Kind.TO);
            case CC -> who(Part.Kind.CC);
            case ANY -> who(Part.Kind.ANY_ADDRESS);
            case RETURN_PATH -> who(Part.Kind.RETURN_PATH);
            case DELIVERED_TO -> who(Part.Kind.DELIVERED_TO);
        };
        return found.stream().map(MailAddress::key).toList();
    }

    private List<MailAddress> who(Part.Kind kind) {
        return switch (kind) {
            case SENDER -> message.in(Role.FROM);
            case RECIPIENT -> message.recipients();
            case TO -> message.in(Role.TO);
            case CC -> message.in(Role.CC);
            case RETURN_PATH -> message.returnPath().address().stream().toList();
            case DELIVERED_TO -> message.deliveredTo().stream().toList();
            case ANY_ADDRESS ->
                Stream.concat(
                                Arrays.stream(Role.values()).flatMap(role -> message.in(role).stream()),
                                Stream.concat(message.returnPath().address().stream(), message.deliveredTo().stream()))
                        .toList();
            default -> List.of();
        };
    }

    @Override
    public boolean has(Part atom) {
        return atom.kind() == Part.Kind.FIELD
                ? message.has(atom.field())
                : !written(atom).isEmpty();
    }

    @Override
    public long count(Part part) {
        return part.atoms().stream().mapToLong(atom -> written(atom).size()).sum();
    }

    @Override
    public OptionalLong measure(NumberTest.Measure measure) {
        return switch (measure) {
            case SIZE -> OptionalLong.of(message.size());
            case ATTACHMENTS -> OptionalLong.of(message.attachments().size());
            case ATTACHMENT_SIZE -> attachments().mapToLong(Attachment::octets).max();
            case AGE ->
                OptionalLong.of(Math.max(
                        0, Duration.between(setting.received(), setting.now()).toSeconds()));
            case COUNT -> OptionalLong.empty();
        };
    }

    @Override
    public boolean has(Trait trait) {
        if (trait instanceof Trait.Sent sent) {
            return message.sentBy().contains(sent.by());
        }
        Optional<MailAddress> writer = message.writer();
        if (trait instanceof Trait.InGroup in) {
            return writer.filter(w -> setting.people().isIn(in.key(), w)).isPresent();
        }
        return switch ((Trait.Standing) trait) {
            case CONVERSATION -> setting.conversation();
            case WRITTEN_TO_ME -> message.in(Role.TO).stream().anyMatch(setting.own()::isOwn);
            case TO_ME_ALONE -> {
                List<MailAddress> all = message.recipients();
                yield all.size() == 1 && message.in(Role.TO).stream().anyMatch(setting.own()::isOwn);
            }
            case KNOWN -> writer.filter(setting.people()::knows).isPresent();
        };
    }
}
