package app.jubek.server.evidence;

import app.jubek.core.decide.Course;
import app.jubek.core.decide.Trace;
import app.jubek.core.recurring.Kind;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.suggest.Addition;
import app.jubek.server.evidence.KindsController.KindView;
import app.jubek.server.evidence.KindsController.Taken;
import app.jubek.server.evidence.KindsController.Who;
import app.jubek.server.evidence.KindsController.WhoView;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Kinds as they are shown: with the rules that take them or nearly do. */
final class KindLines {
    private static final int SAMPLE = 12;

    private final PastMail.Window window;
    private final RuleBook book;
    private final Course course;

    KindLines(PastMail.Window window) {
        this.window = window;
        this.book = window.book();
        this.course = new Course(book);
    }

    KindView view(Kind kind) {
        List<Integer> members = kind.members();
        Map<Rule, Integer> taken = new HashMap<>();
        int untaken = 0;
        for (int at : members) {
            Trace trace = course.run(window.past().hits(at));
            boolean any = false;
            for (int i = 0; i < trace.size(); i++) {
                if (trace.isPicked(i)) {
                    taken.merge(book.all().get(i), 1, Integer::sum);
                    any = true;
                }
            }
            untaken += any ? 0 : 1;
        }
        int newest = members.get(members.size() - 1);
        return new KindView(
                kind.key(),
                who(kind.who()),
                kind.patterns(),
                kind.morePatterns(),
                kind.size(),
                Weeks.of(
                        members.stream()
                                .map(at -> window.past().message(at).received())
                                .toList(),
                        window.now(),
                        window.days()),
                PastMail.Line.of(window.past().message(newest)),
                sample(members).stream()
                        .map(at -> window.past().message(at).id())
                        .toList(),
                sorted(taken),
                untaken * 2 > members.size() ? nearly(members) : Optional.empty());
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
                : new WhoView(Who.ANYBODY, List.of(), ((Kind.Who.Anybody) who).writers());
    }

    private static List<Taken> sorted(Map<Rule, Integer> taken) {
        return taken.entrySet().stream()
                .map(e -> new Taken(e.getKey().id().value(), e.getKey().name(), e.getValue()))
                .sorted(Comparator.comparing(Taken::messages).reversed().thenComparing(Taken::name))
                .toList();
    }

    private static List<Integer> sample(List<Integer> members) {
        int step = Math.max(1, members.size() / SAMPLE);
        return java.util.stream.IntStream.range(0, members.size())
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
