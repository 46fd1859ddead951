package app.jubek.server.recurring;

import app.jubek.core.corpus.Corpus;
import app.jubek.core.criteria.Criterion;
import app.jubek.core.evidence.Counter;
import app.jubek.core.people.OwnSide;
import app.jubek.core.rule.Rule;
import app.jubek.core.suggest.Addition;
import app.jubek.core.suggest.Completions;
import app.jubek.core.suggest.Exceptions;
import app.jubek.core.suggest.Start;
import app.jubek.core.suggest.Suggest;
import app.jubek.core.suggest.Suggestion;
import app.jubek.core.wording.Statement;
import app.jubek.formats.rulebook.RuleBookJson;
import app.jubek.server.account.Allowed;
import app.jubek.server.pastmail.PastMail;
import app.jubek.server.platform.Refused;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** From messages to criteria. */
@RestController
class SuggestController {
    private final PastMail pastMail;
    private final FoundKinds found;

    SuggestController(PastMail pastMail, FoundKinds found) {
        this.pastMail = pastMail;
        this.found = found;
    }

    record SuggestAsked(List<Long> wanted, List<Long> unwanted, int days) {}

    record SuggestView(int wanted, int unwanted, List<SuggestionView> suggestions) {}

    @PostMapping("/api/mailboxes/{mailbox}/suggestions")
    SuggestView suggest(@Allowed UUID mailbox, @RequestBody SuggestAsked asked) {
        PastMail.Window window = pastMail.window(mailbox, asked.days());
        List<Integer> wanted = window.places(asked.wanted());
        List<Integer> unwanted = window.places(asked.unwanted());
        if (wanted.isEmpty()) {
            throw Refused.invalid("Say of at least one message within the evidence window that it belongs.", List.of());
        }
        List<Suggestion> suggestions =
                Suggest.of(window.past(), wanted, unwanted, window.mailbox().own());
        return new SuggestView(
                wanted.size(), unwanted.size(), SuggestionView.all(suggestions, window.past(), wanted.size()));
    }

    record CompletionsView(List<Completions.Completion> completions) {}

    /** Real addresses and phrases for what is being typed. */
    @GetMapping("/api/mailboxes/{mailbox}/completions")
    CompletionsView completions(
            @Allowed UUID mailbox,
            @RequestParam(defaultValue = "WORDS") Completions.Of of,
            @RequestParam(defaultValue = "") String typed,
            @RequestParam(defaultValue = "90") int days) {
        PastMail.Window window = pastMail.window(mailbox, days);
        return new CompletionsView(
                Completions.of(window.past(), of, typed, window.mailbox().own()));
    }

    record StartView(List<TrueView> kept, List<TrueView> also, List<AdditionView> additions) {}

    record TrueView(
            @Schema(ref = "#/components/schemas/Criterion") JsonNode criterion, Statement clause, int matches) {}

    /**
     * @param value what is added to which rule
     * @param clause what the rule would pick out then
     * @param before messages of the window that the rule takes now
     * @param after and that it would take then
     */
    record AdditionView(
            String rule,
            String name,
            String value,
            Statement clause,
            @Schema(ref = "#/components/schemas/Rule") JsonNode changed,
            int before,
            int after) {}

    /** Where to begin from one message, and which rules would take it with one value more. */
    @GetMapping("/api/mailboxes/{mailbox}/messages/{id}/start")
    StartView start(@Allowed UUID mailbox, @PathVariable long id, @RequestParam(defaultValue = "90") int days) {
        PastMail.Window window = pastMail.window(mailbox, days);
        int place = window.place(id);
        OwnSide own = window.mailbox().own();
        Start start = Start.of(window.past(), place, found.of(window, place), own);
        List<AdditionView> additions = window.book().rules().stream()
                .flatMap(rule -> Addition.of(rule, window.past().message(place).seen(), own).stream())
                .map(addition -> view(addition, window))
                .toList();
        return new StartView(trues(start.kept()), trues(start.also()), additions);
    }

    private static List<TrueView> trues(List<Start.True> all) {
        return all.stream()
                .map(t -> new TrueView(
                        RuleBookJson.write(t.criterion()), t.criterion().statement(), t.matches()))
                .toList();
    }

    private static AdditionView view(Addition addition, PastMail.Window window) {
        Rule changed = addition.changed();
        Rule before = window.book().find(changed.id()).orElse(changed);
        return new AdditionView(
                changed.id().value(),
                changed.name(),
                addition.value(),
                changed.picksOut().statement(),
                RuleBookJson.write(changed),
                count(window.past(), before.picksOut()),
                count(window.past(), changed.picksOut()));
    }

    private static int count(Corpus.View past, Criterion criterion) {
        int count = 0;
        for (int at = 0; at < past.size(); at++) {
            count += criterion.holds(past.hits(at)) ? 1 : 0;
        }
        return count;
    }

    record ExceptionAsked(
            @Schema(ref = "#/components/schemas/Rule") JsonNode rule, int order, int days, long message) {}

    record ExceptionView(
            @Schema(ref = "#/components/schemas/Criterion") JsonNode criterion,
            Statement clause,
            int excludes,
            int keeps) {}

    record ExceptionsView(List<ExceptionView> exceptions) {}

    /** What an exception could say so that the edited rule leaves a message out. */
    @PostMapping("/api/mailboxes/{mailbox}/evidence/exceptions")
    ExceptionsView exceptions(@Allowed UUID mailbox, @RequestBody ExceptionAsked asked) {
        PastMail.Window window = pastMail.window(mailbox, asked.days());
        Rule rule = RuleBookJson.readDraft(asked.rule()).rule();
        List<Integer> picked = window.evidence(rule, asked.order()).places(Counter.PICKED);
        Stream<Exceptions.Excluded> found =
                Exceptions.of(
                        window.past(),
                        picked,
                        window.place(asked.message()),
                        window.mailbox().own())
                        .stream();
        return new ExceptionsView(found.map(excluded -> new ExceptionView(
                        RuleBookJson.write(excluded.criterion()),
                        excluded.criterion().statement(),
                        excluded.excludes(),
                        excluded.keeps()))
                .toList());
    }
}
