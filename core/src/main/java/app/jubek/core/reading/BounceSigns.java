package app.jubek.core.reading;

import app.jubek.core.address.MailAddress;
import app.jubek.core.message.ReturnPath;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/**
 * By what a message is known that tells of a failed or late delivery without a report a program could read. There is no
 * standard for these: the phrases are common practice, from memory.
 */
public record BounceSigns(String subject, List<String> texts) {
    private static final Set<String> SENDERS =
            Set.of("mailer-daemon", "postmaster", "mail-daemon", "maildelivery", "mailsystem", "mail-system");

    /** Of a whole subject, or its beginning. */
    private static final List<String> SUBJECTS = List.of(
            "undeliverable",
            "undelivered",
            "delivery status notification",
            "delivery failure",
            "delivery failed",
            "delivery report",
            "delivery has failed",
            "delivery delayed",
            "delayed mail",
            "delivery notification",
            "mail delivery fail",
            "mail delivery problem",
            "mail delivery system",
            "mail system error",
            "failure notice",
            "failed mail",
            "message delayed",
            "message delivery",
            "non delivery",
            "nondeliverable",
            "non-delivery",
            "returned mail",
            "returned to sender",
            "warning: could not send",
            "warning: message delayed",
            "unzustellbar",
            "nicht zustellbar",
            "nachricht nicht zugestellt",
            "zustellung fehlgeschlagen",
            "fehler bei der zustellung",
            "verzögerte zustellung",
            "non remis",
            "non distribu",
            "message non",
            "échec de la remise",
            "échec de remise",
            "échec de livraison",
            "erreur de distribution",
            "courrier non",
            "no se pudo entregar",
            "no se ha podido entregar",
            "correo devuelto",
            "mensaje no entregado",
            "error en la entrega",
            "entrega retrasada",
            "notificación de estado de entrega",
            "kunde inte levereras",
            "olevererbart",
            "mancata consegna",
            "onbestelbaar");

    /** Of what such a message says at its beginning. */
    private static final List<String> TEXTS = List.of(
            "could not be delivered",
            "couldn't be delivered",
            "couldn’t be delivered",
            "cannot be delivered",
            "can't be delivered",
            "was not delivered",
            "wasn't delivered",
            "has not been delivered",
            "have not been delivered",
            "not yet been delivered",
            "unable to deliver",
            "wasn't able to deliver",
            "not able to deliver",
            "unable to be delivered",
            "undeliverable",
            "delivery failed",
            "failed to deliver",
            "delivery to the following",
            "had delivery problems",
            "permanent fatal errors",
            "permanent error",
            "user unknown",
            "unknown user",
            "no such user",
            "mailbox unavailable",
            "mailbox is full",
            "will keep trying",
            "will be retried",
            "delivery will continue",
            "returned to sender",
            "nicht zugestellt",
            "konnte nicht",
            "unzustellbar",
            "zustellung ist",
            "n'a pas pu être remis",
            "n’a pas pu être remis",
            "n'ont pas pu",
            "n’ont pas pu",
            "n'a pas été remis",
            "n’a pas été remis",
            "pas pu être distribu",
            "adresse inconnue",
            "destinataire inconnu",
            "no se pudo entregar",
            "no se ha podido entregar",
            "no pudo ser entregado",
            "no ha sido entregado",
            "no fue entregado",
            "usuario desconocido",
            "kunde inte levereras",
            "non è stato consegnato",
            "kon niet worden");

    /** What a program quotes, and people rarely write. */
    private static final List<String> MARKS = List.of(
            "550 ",
            "551 ",
            "552 ",
            "553 ",
            "554 ",
            "450 ",
            "451 ",
            "452 ",
            " 5.1.1",
            " 5.0.0",
            " 5.2.2",
            " 4.4.1",
            "message-id:",
            "received: from",
            "return-path:",
            "original message follows",
            "copy of the message",
            "ursprüngliche nachricht",
            "message d'origine",
            "message d’origine",
            "mensaje original");

    private static final int BEGINNING = 4_000;
    private static final int WHOLE = 16_000;

    /** Whether they are those of a bounce, from this sender by this path. */
    public boolean areIn(List<MailAddress> from, ReturnPath path) {
        boolean nobody = path instanceof ReturnPath.Null || from.stream().anyMatch(BounceSigns::isSystem);
        String about = subject.toLowerCase(Locale.ROOT).strip();
        boolean named = startsWithOne(about);
        String text = beginning(texts, WHOLE);
        boolean told = containsOne(text.substring(0, Math.min(text.length(), BEGINNING)), TEXTS);
        if (nobody) {
            return named || told;
        }
        return named && (text.isBlank() || told && containsOne(text, MARKS));
    }

    private static boolean isSystem(MailAddress from) {
        String name = from.name().toLowerCase(Locale.ROOT);
        return SENDERS.contains(from.user()) || name.contains("mail delivery s") || name.contains("mailer-daemon");
    }

    private static boolean startsWithOne(String subject) {
        String bare = subject.startsWith("auto: ") ? subject.substring("auto: ".length()) : subject;
        return SUBJECTS.stream().anyMatch(bare::startsWith);
    }

    private static boolean containsOne(String text, List<String> phrases) {
        return phrases.stream().anyMatch(text::contains);
    }

    private static String beginning(List<String> texts, int most) {
        StringBuilder all = new StringBuilder();
        for (String text : texts) {
            if (all.length() < most) {
                all.append(text, 0, Math.min(text.length(), most)).append('\n');
            }
        }
        return all.toString().toLowerCase(Locale.ROOT);
    }
}
