package app.jubek.server.recurring;

import app.jubek.core.address.MailAddress;
import app.jubek.core.corpus.Corpus;
import app.jubek.core.evidence.PastRun;
import app.jubek.core.people.OwnSide;
import app.jubek.core.recurring.Kind;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.suggest.Addition;
import app.jubek.core.suggest.Suggest;
import app.jubek.server.pastmail.PastMail;
import app.jubek.server.pastmail.Weeks;
import app.jubek.server.recurring.RecurringController.KindView;
import app.jubek.server.recurring.RecurringController.RecurringView;
import app.jubek.server.recurring.RecurringController.Sender;
import app.jubek.server.recurring.RecurringController.Taken;
import app.jubek.server.recurring.RecurringController.Who;
import app.jubek.server.recurring.RecurringController.WhoView;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** Kinds of recurring mail as they are shown: with the rules that take them or nearly do. */
final class KindLines {
    private static final int SAMPLE = 12;
    private static final int MOST = 12;

    private final PastMail.Window window;
    private final RuleBook book;
    private final PastRun run;

    KindLines(PastMail.Window window) {
        this.window = window;
        this.book = window.book();
        this.run = new PastRun(book, window.past(), window.mailbox().opening());
    }

    RecurringView view(Kind kind) {
        List<Integer> members = kind.members();
        Map<Rule, Integer> taken = new HashMap<>();
        int untaken = 0;
        for (int at : members) {
            List<Rule> picking = run.trace(at).picking();
            picking.forEach(rule -> taken.merge(rule, 1, Integer::sum));
            untaken += picking.isEmpty() ? 1 : 0;
        }
        int newest = members.get(members.size() - 1);
        return new RecurringView(
                kind.key(),
                who(kind.who()),
                kind.patterns().stream().limit(1).toList(),
                Math.max(0, kind.patterns().size() - 1),
                kind.size(),
                Weeks.of(
                        members.stream()
                                .map(at -> window.past().message(at).received())
                                .toList(),
                        window.now(),
                        window.days()),
                PastMail.Line.of(window.past().message(newest)),
                sorted(taken),
                untaken * 2 > members.size() ? nearly(members) : Optional.empty());
    }

    /** The same in detail, with its messages from one on, the newest first. */
    KindView opened(Kind kind, int offset, int limit) {
        Corpus.View past = window.past();
        OwnSide own = window.mailbox().own();
        int size = kind.size();
        List<PastMail.Line> messages = IntStream.range(Math.min(offset, size), Math.min(size, offset + limit))
                .map(at -> kind.members().get(size - 1 - at))
                .mapToObj(past::message)
                .map(PastMail.Line::of)
                .toList();
        List<Sender> senders = senders(kind);
        return new KindView(
                view(kind),
                kind.patterns().stream().limit(MOST).toList(),
                senders.stream().limit(MOST).toList(),
                senders.size(),
                messages,
                SuggestionView.all(Suggest.of(past, kind, own), past, size));
    }

    private List<Sender> senders(Kind kind) {
        return kind.members().stream()
                .map(at -> window.past().message(at).message().sender())
                .flatMap(Optional::stream)
                .collect(Collectors.groupingBy(MailAddress::key, Collectors.counting()))
                .entrySet()
                .stream()
                .map(e -> new Sender(e.getKey(), e.getValue().intValue()))
                .sorted(Comparator.comparing(Sender::messages).reversed().thenComparing(Sender::address))
                .toList();
    }

    private static WhoView who(Kind.Who who) {
        if (who instanceof Kind.Who.MailingList list) {
            return new WhoView(Who.LIST, List.of(list.list()), 0);
        }
        if (who instanceof Kind.Who.Address address) {
            return new WhoView(
                    Who.ADDRESS,
                    address.name().isBlank() ? List.of(address.address()) : List.of(address.name(), address.address()),
                    1);
        }
        return who instanceof Kind.Who.Domains domains
                ? new WhoView(Who.DOMAINS, domains.domains(), 0)
                : new WhoView(Who.ANYBODY, List.of(), ((Kind.Who.Anybody) who).senders());
    }

    private static List<Taken> sorted(Map<Rule, Integer> taken) {
        return taken.entrySet().stream()
                .map(e -> new Taken(e.getKey().id().value(), e.getKey().name(), e.getValue()))
                .sorted(Comparator.comparing(Taken::messages).reversed().thenComparing(Taken::name))
                .toList();
    }

    private static List<Integer> sample(List<Integer> members) {
        int step = Math.max(1, members.size() / SAMPLE);
        return IntStream.range(0, members.size())
                .filter(i -> (members.size() - 1 - i) % step == 0)
                .map(members::get)
                .limit(SAMPLE)
                .boxed()
                .toList();
    }

    /** The rule that most of some messages would come to with one value more. */
    private Optional<Taken> nearly(List<Integer> members) {
        List<Integer> some = sample(members);
        return book.rules().stream()
                .filter(Rule::on)
                .map(rule -> new Taken(rule.id().value(), rule.name(), near(rule, some)))
                .filter(taken -> taken.messages() * 2 > some.size())
                .max(Comparator.comparing(Taken::messages));
    }

    private int near(Rule rule, List<Integer> some) {
        return (int) some.stream()
                .filter(at -> Addition.of(
                                rule,
                                window.past().message(at).seen(),
                                window.mailbox().own())
                        .isPresent())
                .count();
    }
}
