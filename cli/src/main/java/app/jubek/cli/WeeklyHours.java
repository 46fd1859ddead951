package app.jubek.cli;

import app.jubek.core.schedule.Opening;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import picocli.CommandLine;
import picocli.CommandLine.Option;

/** Hours that rules go by. */
final class WeeklyHours {
    @Option(
            names = "--hours",
            paramLabel = "NAME=SPANS",
            description = "hours with a name that rules go by, like \"Ticket desk=tuesday 10:00-18:00,sunday"
                    + " 10:00-16:00\"; may be given several times")
    private List<String> hours = new ArrayList<>();

    @CommandLine.Spec(CommandLine.Spec.Target.MIXEE)
    private CommandLine.Model.CommandSpec spec;

    Map<String, Opening> named(ZoneId in) {
        Map<String, Opening> all = new HashMap<>();
        for (String written : hours) {
            int at = written.indexOf('=');
            if (at < 1) {
                throw wrong("--hours wants NAME=SPANS, not \"" + written + "\"");
            }
            all.put(written.substring(0, at), spans("--hours", written.substring(at + 1), in));
        }
        return all;
    }

    Opening spans(String option, String written, ZoneId in) {
        try {
            return Opening.of(in, List.of(written.split(",")));
        } catch (IllegalArgumentException noSpan) {
            throw wrong(option + ": " + noSpan.getMessage());
        }
    }

    private CommandLine.ParameterException wrong(String what) {
        return new CommandLine.ParameterException(spec.commandLine(), what);
    }
}
