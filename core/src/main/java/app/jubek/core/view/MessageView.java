package app.jubek.core.view;

import app.jubek.core.address.MailAddress;
import app.jubek.core.criteria.AddressCriterion;
import app.jubek.core.criteria.MessagePart;
import app.jubek.core.criteria.NumberCriterion;
import app.jubek.core.criteria.Searchable;
import app.jubek.core.criteria.Trait;
import app.jubek.core.matching.Comparison;
import app.jubek.core.message.AddedText;
import app.jubek.core.message.Attachment;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.message.Role;
import app.jubek.core.message.Subjects;
import app.jubek.core.text.Budget;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;

/** A message that was read, as criteria look at it: one that has just come in, or one of past mail. */
public final class MessageView implements Searchable {
    private final ReadMessage message;
    private final MessageContext context;
    private final Budget budget;
    private final Addressed addressed;
    private final Map<Seen, List<String>> compared = new ConcurrentHashMap<>(2);

    private record Seen(MessagePart atom, Comparison comparison) {}

    public MessageView(ReadMessage message, MessageContext context) {
        this(message, context, Budget.UNLIMITED);
    }

    /**
     * @param budget what looking at it may cost
     */
    public MessageView(ReadMessage message, MessageContext context, Budget budget) {
        this.message = message;
        this.context = context;
        this.budget = budget;
        this.addressed = new Addressed(message);
    }

    public Budget budget() {
        return budget;
    }

    public ReadMessage message() {
        return message;
    }

    public MessageContext context() {
        return context;
    }

    @Override
    public List<String> texts(MessagePart atom, Comparison comparison) {
        return compared.computeIfAbsent(
                new Seen(atom, comparison),
                seen -> written(atom).stream()
                        .map(text -> comparison.apply(text, budget))
                        .toList());
    }

    /** The texts of one part as they are displayed. */
    public List<String> written(MessagePart atom) {
        return switch (atom.kind()) {
            case SUBJECT -> subject();
            case BARE_SUBJECT -> subject().stream().map(Subjects::bare).toList();
            case TEXT -> message.texts();
            case ADDED_TEXT -> message.texts().stream().map(AddedText::of).toList();
            case FIELD -> message.values(atom.field());
            case ATTACHMENT_NAME ->
                attachments().map(Attachment::name).filter(n -> !n.isEmpty()).toList();
            case ATTACHMENT_TYPE -> attachments().map(Attachment::mediaType).toList();
            case MAILBOX -> List.of(context.mailbox());
            case FOLDER -> List.of(context.folder());
            case DATE -> DatePieces.of(atom.field(), message, context).stream().toList();
            default -> addressed.texts(atom);
        };
    }

    private List<String> subject() {
        return message.has("Subject") ? List.of(message.subject()) : List.of();
    }

    private Stream<Attachment> attachments() {
        return message.attachments().stream();
    }

    @Override
    public List<String> addresses(AddressCriterion.AddressField part) {
        MessagePart.Kind kind = switch (part) {
            case SENDER -> MessagePart.Kind.SENDER;
            case RECIPIENT -> MessagePart.Kind.RECIPIENT;
            case TO -> MessagePart.Kind.TO;
            case CC -> MessagePart.Kind.CC;
            case ANY -> MessagePart.Kind.ANY_ADDRESS;
            case RETURN_PATH -> MessagePart.Kind.RETURN_PATH;
            case DELIVERED_TO -> MessagePart.Kind.DELIVERED_TO;
        };
        return addressed.of(kind).stream().map(MailAddress::key).toList();
    }

    @Override
    public boolean has(MessagePart atom) {
        return atom.kind() == MessagePart.Kind.FIELD
                ? message.has(atom.field())
                : !written(atom).isEmpty();
    }

    @Override
    public long count(MessagePart part) {
        return part.atoms().stream().mapToLong(atom -> written(atom).size()).sum();
    }

    @Override
    public OptionalLong measure(NumberCriterion.Measure measure) {
        return switch (measure) {
            case SIZE -> OptionalLong.of(message.size());
            case ATTACHMENTS -> OptionalLong.of(message.attachments().size());
            case ATTACHMENT_SIZE -> attachments().mapToLong(Attachment::bytes).max();
            case AGE ->
                OptionalLong.of(Math.max(
                        0, Duration.between(context.received(), context.now()).toSeconds()));
            case COUNT -> OptionalLong.empty();
        };
    }

    @Override
    public boolean has(Trait trait) {
        if (trait instanceof Trait.Sent sent) {
            return message.sentBy().contains(sent.by());
        }
        Optional<MailAddress> sender = message.sender();
        if (trait instanceof Trait.InGroup in) {
            return sender.filter(w -> context.people().isIn(in.key(), w)).isPresent();
        }
        return switch ((Trait.Relationship) trait) {
            case CONVERSATION -> context.conversation();
            case WRITTEN_TO_ME -> message.in(Role.TO).stream().anyMatch(context.own()::isOwn);
            case TO_ME_ALONE -> {
                List<MailAddress> all = message.recipients();
                yield all.size() == 1 && message.in(Role.TO).stream().anyMatch(context.own()::isOwn);
            }
            case KNOWN -> sender.filter(context.people()::knows).isPresent();
        };
    }
}
