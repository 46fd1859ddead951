package app.jubek.core.view;

import app.jubek.core.address.MailAddress;
import app.jubek.core.criteria.MessagePart;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.message.ReturnPath;
import app.jubek.core.message.Role;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;

/** Whom a message names, part by part. */
record Addressed(ReadMessage message) {

    /** The texts of a part that is made of addresses or their names. */
    List<String> texts(MessagePart atom) {
        return switch (atom.kind()) {
            case RETURN_PATH, DELIVERED_TO -> envelope(atom);
            case SENDER_NAME -> names(message.in(Role.FROM));
            case RECIPIENT_NAME -> names(message.recipients());
            case TO_NAME -> names(message.in(Role.TO));
            case CC_NAME -> names(message.in(Role.CC));
            case ADDRESS -> pieces(message.addressesIn(atom.field()).stream(), atom.piece());
            default -> of(atom.kind()).stream().map(MailAddress::key).toList();
        };
    }

    private static List<String> names(List<MailAddress> addresses) {
        return addresses.stream()
                .map(MailAddress::name)
                .filter(n -> !n.isEmpty())
                .toList();
    }

    private static List<String> pieces(Stream<MailAddress> addresses, MessagePart.Piece piece) {
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

    private List<String> envelope(MessagePart atom) {
        if (atom.kind() == MessagePart.Kind.RETURN_PATH && message.returnPath() instanceof ReturnPath.Null) {
            return List.of("");
        }
        return pieces(of(atom.kind()).stream(), atom.piece());
    }

    List<MailAddress> of(MessagePart.Kind kind) {
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
}
