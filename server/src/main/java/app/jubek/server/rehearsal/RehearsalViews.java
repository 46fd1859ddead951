package app.jubek.server.rehearsal;

import app.jubek.core.rehearsal.Rehearsal;
import app.jubek.core.rehearsal.Side;
import app.jubek.core.rule.Rule;
import app.jubek.core.wording.Statement;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;

/** What a rehearsal came to, as the page shows it. */
final class RehearsalViews {
    /** Beyond these, lists say how many there are. */
    private static final int SHOWN = 100;

    private RehearsalViews() {}

    /**
     * Messages of one fate.
     *
     * @param key by which they are asked for
     */
    record FateView(String key, List<Statement> does, boolean left, int messages) {}

    /**
     * @param from the key of a fate by the rules of now
     * @param to the key of one by the others
     */
    record FlowView(String from, String to, int messages) {}

    record WeekView(LocalDate week, int before, int after) {}

    record OfRuleView(String rule, String name, int before, int after, List<WeekView> weeks) {}

    record OverlapView(String one, String oneName, String other, String otherName, int messages) {}

    record NearView(String rule, String name, int messages) {}

    record AgainView(String sender, int before, int after) {}

    /**
     * @param destination empty for all replies to senders together
     */
    record VolumeView(String destination, int before, int after, List<DayView> days) {}

    record DayView(LocalDate day, int messages) {}

    /**
     * @param changing messages that change hands
     * @param before fates by the rules of now, most first
     * @param after by the others
     * @param again senders who would be replied to more than once, as far as they are listed
     * @param moreThanOnce how many such senders there are in all
     */
    record RehearsalResult(
            int messages,
            int changing,
            List<FateView> before,
            List<FateView> after,
            List<FlowView> flows,
            List<OfRuleView> rules,
            List<OverlapView> overlaps,
            List<NearView> nearMisses,
            List<AgainView> again,
            int moreThanOnce,
            List<VolumeView> volumes) {}

    static RehearsalResult result(Rehearsal made, List<Rehearsal.Flow> flows, Fates fates) {
        List<Rehearsal.Again> again = made.answeredAgain();
        return new RehearsalResult(
                made.past().size(),
                made.changing().cardinality(),
                fates.views(flows, Rehearsal.Flow::from),
                fates.views(flows, Rehearsal.Flow::to),
                flows.stream()
                        .map(flow -> new FlowView(fates.key(flow.from()), fates.key(flow.to()), flow.messages()))
                        .toList(),
                made.byRule().stream().map(RehearsalViews::ofRule).toList(),
                made.overlaps().stream()
                        .limit(SHOWN)
                        .map(RehearsalViews::overlap)
                        .toList(),
                made.nearMisses().stream()
                        .map(near -> new NearView(
                                id(near.rule()),
                                near.rule().name(),
                                near.where().cardinality()))
                        .toList(),
                again.stream()
                        .limit(SHOWN)
                        .map(each -> new AgainView(each.sender(), each.before(), each.after()))
                        .toList(),
                again.size(),
                Stream.concat(Stream.of(made.replies()), made.volumes().stream().limit(SHOWN))
                        .filter(volume -> volume.before() + volume.after() > 0)
                        .map(volume -> new VolumeView(
                                volume.destination(),
                                volume.before(),
                                volume.after(),
                                volume.days().stream()
                                        .map(day -> new DayView(day.day(), day.messages()))
                                        .toList()))
                        .toList());
    }

    private static String id(Rule rule) {
        return rule.id().value();
    }

    private static OfRuleView ofRule(Rehearsal.OfRule of) {
        return new OfRuleView(
                id(of.rule()),
                of.rule().name(),
                of.before(),
                of.after(),
                of.weeks().stream()
                        .map(week -> new WeekView(week.week(), week.before(), week.after()))
                        .toList());
    }

    private static OverlapView overlap(Rehearsal.Overlap overlap) {
        return new OverlapView(
                id(overlap.one()),
                overlap.one().name(),
                id(overlap.other()),
                overlap.other().name(),
                overlap.messages());
    }

    /** Numbers of fates, in the order in which flows name them. */
    record Fates(Map<Side.Fate, String> keys) {
        static Fates of(List<Rehearsal.Flow> flows) {
            Map<Side.Fate, String> keys = new HashMap<>();
            flows.forEach(flow -> {
                keys.putIfAbsent(flow.from(), "" + keys.size());
                keys.putIfAbsent(flow.to(), "" + keys.size());
            });
            return new Fates(keys);
        }

        String key(Side.Fate fate) {
            return Optional.ofNullable(keys.get(fate)).orElseThrow();
        }

        Optional<Side.Fate> find(String key) {
            return keys.entrySet().stream()
                    .filter(each -> each.getValue().equals(key))
                    .map(Map.Entry::getKey)
                    .findFirst();
        }

        List<FateView> views(List<Rehearsal.Flow> flows, Function<Rehearsal.Flow, Side.Fate> side) {
            Map<Side.Fate, Integer> counts = new HashMap<>();
            flows.forEach(flow -> counts.merge(side.apply(flow), flow.messages(), Integer::sum));
            return counts.entrySet().stream()
                    .map(each -> new FateView(
                            key(each.getKey()),
                            each.getKey().statements(),
                            each.getKey().isLeft(),
                            each.getValue()))
                    .sorted((one, other) -> one.left() == other.left()
                            ? Integer.compare(other.messages(), one.messages())
                            : Boolean.compare(one.left(), other.left()))
                    .toList();
        }
    }
}
