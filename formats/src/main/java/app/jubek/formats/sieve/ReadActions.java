package app.jubek.formats.sieve;

import app.jubek.core.address.MailAddress;
import app.jubek.core.step.ReplyFrequency;
import app.jubek.core.step.ReplyOptions;
import app.jubek.core.step.Step;
import app.jubek.core.text.WhiteSpace;
import app.jubek.formats.sieve.syntax.Arguments;
import app.jubek.formats.sieve.syntax.Place;
import app.jubek.formats.sieve.syntax.Script;
import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiConsumer;

/** Actions of a script as steps. */
final class ReadActions {
    private static final String INBOX = "INBOX";

    private final BiConsumer<Place, String> note;
    private final Set<String> flagsSoFar = new LinkedHashSet<>();

    /**
     * @param note hears what can't be carried exactly
     */
    ReadActions(BiConsumer<Place, String> note) {
        this.note = note;
    }

    static boolean isAction(String name) {
        return Set.of("keep", "discard", "redirect", "fileinto", "vacation", "addflag", "setflag", "removeflag")
                .contains(name);
    }

    /** The steps of one command; what its values do not allow is noted and left out. */
    List<Step> read(Script.Command command) {
        Arguments arguments = Arguments.of(command.arguments(), command.place());
        try {
            return switch (command.name()) {
                case "keep" -> keep(arguments);
                case "discard" -> List.of(Step.Plain.DELETE);
                case "redirect" ->
                    List.of(new Step.Redirect(
                            List.of(MailAddress.of(arguments.one(0, "an address"))), !arguments.has("copy")));
                case "fileinto" -> fileInto(arguments);
                case "vacation" -> List.of(vacation(arguments));
                default -> flags(command.name(), arguments);
            };
        } catch (IllegalArgumentException refused) {
            note.accept(command.place(), command.name() + " is left out: " + refused.getMessage());
            return List.of();
        }
    }

    private List<Step> keep(Arguments arguments) {
        List<Step> steps = new ArrayList<>(ownFlags(arguments));
        steps.add(Step.Plain.KEEP);
        return steps;
    }

    private List<Step> ownFlags(Arguments arguments) {
        return arguments
                .strings("flags")
                .map(ReadActions::split)
                .filter(flags -> !flags.isEmpty())
                .map(flags -> {
                    note.accept(arguments.place(), "flags of this copy alone (:flags): set on the message");
                    return List.<Step>of(new Step.Mark(flags, List.of()));
                })
                .orElse(List.of());
    }

    private List<Step> fileInto(Arguments arguments) {
        String folder = arguments.one(0, "a folder");
        List<Step> steps = new ArrayList<>(ownFlags(arguments));
        String use = arguments.string("specialuse").map(Script::lower).orElse("");
        if (!use.isEmpty() && !use.equals("\\trash")) {
            note.accept(arguments.place(), "the special use " + use + ": the folder " + folder + " is taken by name");
        }
        boolean copy = arguments.has("copy");
        if (use.equals("\\trash") && !copy) {
            steps.add(Step.Plain.TRASH);
        } else if (folder.strip().equalsIgnoreCase(INBOX)) {
            steps.add(Step.Plain.KEEP);
        } else {
            steps.add(copy ? new Step.Copy(folder) : new Step.File(folder));
        }
        return steps;
    }

    private Step vacation(Arguments arguments) {
        for (String tag : List.of("from", "handle", "mime")) {
            if (arguments.has(tag)) {
                note.accept(arguments.place(), ":" + tag + " of vacation is left out");
            }
        }
        ReplyOptions options =
                ReplyOptions.usual(ReplyFrequency.once(oncePer(arguments))).alsoTo(addresses(arguments));
        return new Step.Reply(
                Optional.empty(), arguments.string("subject").orElse(""), arguments.one(0, "a reason"), options);
    }

    private List<MailAddress> addresses(Arguments arguments) {
        List<MailAddress> found = new ArrayList<>();
        for (String address : arguments.strings("addresses").orElse(List.of())) {
            try {
                found.add(MailAddress.of(address));
            } catch (IllegalArgumentException none) {
                note.accept(arguments.place(), "\"" + address + "\" in :addresses is no mail address and is left out");
            }
        }
        return found;
    }

    private Duration oncePer(Arguments arguments) {
        Duration day = Duration.ofDays(1);
        Duration wanted = arguments
                .number("seconds")
                .map(Duration::ofSeconds)
                .or(() -> arguments.number("days").map(Duration::ofDays))
                .orElse(ReplyFrequency.PRESET.within());
        if (arguments.number("seconds").isPresent()
                && (wanted.compareTo(day) < 0 || wanted.toSeconds() % 86_400 != 0)) {
            note.accept(arguments.place(), ":seconds of vacation: rounded up to whole days");
        }
        long days = Math.max(1, (wanted.toSeconds() + 86_399) / 86_400);
        return Duration.ofDays(days);
    }

    private List<Step> flags(String name, Arguments arguments) {
        if (arguments.count() > 1) {
            note.accept(arguments.place(), name + " of a variable is left out");
            return List.of();
        }
        List<String> flags = split(arguments.lastList());
        List<String> others = flagsSoFar.stream()
                .filter(before -> flags.stream().noneMatch(before::equalsIgnoreCase))
                .toList();
        return switch (name) {
            case "removeflag" -> mark(List.of(), flags);
            case "setflag" -> {
                List<Step> steps = mark(flags, others);
                flagsSoFar.addAll(flags);
                yield steps;
            }
            default -> {
                flagsSoFar.addAll(flags);
                yield mark(flags, List.of());
            }
        };
    }

    private static List<Step> mark(List<String> add, List<String> remove) {
        return add.isEmpty() && remove.isEmpty() ? List.of() : List.of(new Step.Mark(add, remove));
    }

    /** Several flags may stand in one string (RFC 5232 §2). */
    private static List<String> split(List<String> flags) {
        return flags.stream()
                .flatMap(s -> WhiteSpace.words(s).stream())
                .filter(s -> !s.isEmpty())
                .distinct()
                .toList();
    }
}
