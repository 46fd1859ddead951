package app.jubek.core.decide;

import app.jubek.core.address.MailAddress;
import app.jubek.core.criteria.MessagePart;
import app.jubek.core.criteria.TextCriterion;
import app.jubek.core.matching.Captures;
import app.jubek.core.matching.MatchType;
import app.jubek.core.message.AuthenticationResults;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.people.OwnSide;
import app.jubek.core.people.Person;
import app.jubek.core.plan.Reason;
import app.jubek.core.plan.Refusal;
import app.jubek.core.plan.Sending;
import app.jubek.core.reading.WrittenIn;
import app.jubek.core.rule.Rule;
import app.jubek.core.schedule.Period;
import app.jubek.core.step.AnswersTo;
import app.jubek.core.step.ForwardOptions;
import app.jubek.core.step.ReplyOptions;
import app.jubek.core.step.Step;
import app.jubek.core.template.Document;
import app.jubek.core.template.Filling;
import app.jubek.core.template.Letter;
import app.jubek.core.template.Template;
import app.jubek.core.template.TemplateId;
import app.jubek.core.view.MessageContext;
import app.jubek.core.view.MessageView;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** Finds the words of what one rule sends for one message, or says why there are none. */
final class Writing {
    /** Above this, in bytes, documents go to nobody unknown (RFC 3834 §2: an answer must not be larger than needed). */
    static final long LARGE = 64 * 1024;

    private final MessageView view;
    private final ReadMessage message;
    private final DecisionContext at;
    private final Rule rule;

    Writing(MessageView view, DecisionContext at, Rule rule) {
        this.view = view;
        this.message = view.message();
        this.at = at;
        this.rule = rule;
    }

    /**
     * What a step sends, and why a person has to look at it first; without words it can't be let go as it is.
     */
    record Result(Optional<Sending> sending, Optional<Refusal> held) {
        static Result written(Sending sending) {
            return new Result(Optional.of(sending), Optional.empty());
        }

        Result held(Reason reason) {
            return new Result(sending, Optional.of(Refusal.of(reason)));
        }

        Result heldFor(Optional<Refusal> why) {
            return held.isEmpty() && why.isPresent() ? new Result(sending, why) : this;
        }

        private static Result without(Reason reason) {
            return new Result(Optional.empty(), Optional.of(Refusal.of(reason)));
        }
    }

    /** To where the rule says; there is such an address. */
    Result answer(Step.Reply reply, MailAddress to) {
        ReplyOptions options = reply.options();
        Optional<MailAddress> from = identity(options.from());
        if (from.isEmpty()) {
            return Result.without(Reason.IDENTITY_NOT_OURS);
        }
        Optional<TemplateId> chosen = inLanguage(reply);
        Optional<Template> template = chosen.flatMap(at.prepared()::template);
        Optional<Reason> missing = chosen.flatMap(this::missing);
        if (missing.isPresent()) {
            return Result.without(missing.get());
        }
        Optional<MailAddress> person = person(options.to(), to);
        Letter letter = template.or(() -> Template.own(reply.subject(), reply.text()))
                .map(words -> filled(words, person, options.substitute()))
                .orElse(Letter.plain(reply.subject(), reply.text()));
        if (letter.isEmpty()) {
            return Result.without(Reason.TEMPLATE_EMPTY);
        }
        Locale language = template.map(Template::language).orElse(Locale.UK);
        Letter whole = options.quotes()
                ? letter.above(message, at.context().received(), at.context().zone(), language)
                : letter;
        return sized(new Sending(whole, to, from.get(), false));
    }

    /** One that is gone is missed only where no other is left. */
    private Optional<TemplateId> inLanguage(Step.Reply reply) {
        List<Template> there = reply.options().templates(reply.template()).stream()
                .flatMap(id -> at.prepared().template(id).stream())
                .toList();
        if (there.size() < 2) {
            return there.stream().map(Template::id).findFirst().or(reply::template);
        }
        String written =
                message.subject() + "\n" + String.join("\n", view.written(MessagePart.of(MessagePart.Kind.ADDED_TEXT)));
        Locale language =
                WrittenIn.of(written, there.stream().map(Template::language).toList());
        return there.stream()
                .filter(template -> template.language().equals(language))
                .map(Template::id)
                .findFirst();
    }

    /** A forward to one address: its note. */
    Result note(ForwardOptions options, MailAddress to) {
        Optional<MailAddress> from = identity(options.from());
        if (from.isEmpty()) {
            return Result.without(Reason.IDENTITY_NOT_OURS);
        }
        Optional<Reason> missing = options.template().flatMap(this::missing);
        if (missing.isPresent()) {
            return Result.without(missing.get());
        }
        Letter note = options.template()
                .flatMap(at.prepared()::template)
                .or(() -> Template.own("", options.note()))
                .map(words -> filled(words, message.sender(), Optional.empty()))
                .orElse(Letter.plain("", options.note()));
        return Result.written(new Sending(note, to, from.get(), false));
    }

    private Optional<MailAddress> identity(Optional<MailAddress> asked) {
        OwnSide own = at.own();
        return asked.isEmpty() ? Optional.of(own.identity()) : asked.flatMap(own::writingAs);
    }

    private Optional<Reason> missing(TemplateId id) {
        Optional<Template> template = at.prepared().template(id);
        if (template.isEmpty()) {
            return Optional.of(Reason.TEMPLATE_GONE);
        }
        boolean gone = template.get().needs().stream()
                .anyMatch(document -> at.prepared().document(document).isEmpty());
        return gone ? Optional.of(Reason.DOCUMENT_GONE) : Optional.empty();
    }

    private Result sized(Sending sending) {
        long size = sending.letter().documentsSize();
        if (size > Document.MOST) {
            return new Result(
                    Optional.empty(), Optional.of(Refusal.of(Reason.DOCUMENTS_TOO_LARGE, Document.inWords(size))));
        }
        return size <= LARGE || isTrusted(sending.to())
                ? Result.written(sending)
                : new Result(
                        Optional.of(sending),
                        Optional.of(Refusal.of(
                                Reason.DOCUMENTS_TO_A_STRANGER, sending.to().address())));
    }

    /** Inside, known, or shown by our own server to be who they say they are (RFC 8601). */
    private boolean isTrusted(MailAddress to) {
        return at.own().isInside(to)
                || at.context().people().knows(to)
                || AuthenticationResults.of(message).stream()
                        .filter(results -> at.own().isOurServer(results.server()))
                        .anyMatch(
                                results -> results.passes("dmarc") || results.passes("dkim") || results.passes("spf"));
    }

    /**
     * Who is greeted: a form's message is from the one whom the answer goes to, not from the form. An address without a name
     * beside the sender's, at the same domain, is the sender's own.
     */
    private Optional<MailAddress> person(AnswersTo where, MailAddress to) {
        boolean sender = message.sender().filter(from -> isOf(from, to)).isPresent();
        return where == AnswersTo.Header.RETURN_PATH || sender ? message.sender() : Optional.of(to);
    }

    private static boolean isOf(MailAddress sender, MailAddress to) {
        return sender.sameAs(to) || to.name().isBlank() && sender.domain().equals(to.domain());
    }

    private Letter filled(Template template, Optional<MailAddress> person, Optional<MailAddress> substitute) {
        Map<String, String> captured = template.captured().isEmpty() ? Map.of() : captured();
        return template.fill(filling(person, captured, substitute), at.prepared());
    }

    private Filling filling(
            Optional<MailAddress> person, Map<String, String> captured, Optional<MailAddress> substitute) {
        MessageContext context = at.context();
        Optional<Person> contact = person.flatMap(context.people()::person);
        return new Filling(
                message, person, at.own(), context.received(), context.zone(), contact, captured, away(substitute));
    }

    /** The days of the period in which the message came in. */
    private Filling.Away away(Optional<MailAddress> substitute) {
        LocalDate day =
                LocalDate.ofInstant(at.context().received(), at.opening().zone());
        Optional<Period> during = rule.schedule().periods().stream()
                .filter(period -> period.contains(day))
                .findFirst()
                .or(() -> rule.schedule().periods().stream().findFirst());
        Optional<LocalDate> last = during.flatMap(Period::last);
        return new Filling.Away(
                during.flatMap(Period::first), last, last.flatMap(at.opening()::opensAfter), substitute);
    }

    /** What the patterns of the rule take out of the message. */
    private Map<String, String> captured() {
        Map<String, String> captured = new LinkedHashMap<>();
        rule.picksOut().tests().forEach(test -> {
            if (test instanceof TextCriterion text && text.how() == MatchType.PATTERN && !text.negated()) {
                text.values()
                        .forEach(value -> text.part().atoms().stream()
                                .flatMap(atom -> view.written(atom).stream())
                                .forEach(seen ->
                                        Captures.of(value.written()).named(seen).forEach(captured::putIfAbsent)));
            }
        });
        return captured;
    }
}
