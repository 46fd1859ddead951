package app.jubek.benchmarks.engine;

import java.util.Collection;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;
import org.openjdk.jmh.runner.options.TimeValue;

/** Runs the measurements and prints ratios within the run. Argument: the folder of the open mail. */
public final class EngineFigures {
    private final Map<String, Double> nanos = new TreeMap<>();

    private EngineFigures() {}

    public static void main(String[] arguments) throws RunnerException {
        EngineFigures figures = new EngineFigures();
        figures.run(arguments[0], "Deciding.*", "200", "all", "ascii");
        figures.run(arguments[0], "Deciding.(jubek|compiling)", "10", "all");
        figures.run(arguments[0], "Deciding.(jubek|compiling)", "1000", "all");
        figures.run(arguments[0], "Deciding.(jubek|naive)", "mixed", "all");
        figures.run(arguments[0], "Reading.*", "", "");
        figures.print();
    }

    private void run(String data, String include, String book, String... mail) throws RunnerException {
        OptionsBuilder options = new OptionsBuilder();
        options.include("engine\\." + include)
                .forks(1)
                .warmupIterations(3)
                .warmupTime(TimeValue.seconds(2))
                .measurementIterations(4)
                .measurementTime(TimeValue.seconds(2))
                .jvmArgsAppend("-Dopen.mail=" + data);
        if (!book.isEmpty()) {
            options.param("book", book).param("mail", mail);
        }
        Collection<RunResult> results = new Runner(options.build()).run();
        results.forEach(this::note);
    }

    private void note(RunResult result) {
        String name = result.getParams().getBenchmark().replaceAll(".*\\.(?=\\w+\\.\\w+$)", "");
        String book = result.getParams().getParam("book");
        String mail = result.getParams().getParam("mail");
        String key = book == null ? name : name + " " + book + " " + mail;
        nanos.put(key, result.getPrimaryResult().getScore());
    }

    private void ratio(String what, String of, String to) {
        System.out.printf(Locale.ROOT, "%-62s %8.2f%n", what, nanos.get(of) / nanos.get(to));
    }

    private void print() {
        System.out.println();
        nanos.forEach((name, value) -> System.out.printf(Locale.ROOT, "%-40s %14.0f ns%n", name, value));
        System.out.println();
        for (String mail : new String[] {"all", "ascii"}) {
            String jubek = "Deciding.jubek 200 " + mail;
            ratio("jSieve 0.8 / Jubek, " + mail, "Deciding.jsieve 200 " + mail, jubek);
            ratio("naive / Jubek, " + mail, "Deciding.naive 200 " + mail, jubek);
            ratio("org.ahocorasick 0.6.3 / Jubek, " + mail, "Deciding.ahocorasick 200 " + mail, jubek);
            ratio("Jubek / bare pass, " + mail, jubek, "Deciding.barePass 200 " + mail);
            ratio(
                    "folding / toLowerCase(ROOT), " + mail,
                    "Deciding.folding 200 " + mail,
                    "Deciding.toLowerCase 200 " + mail);
        }
        ratio("1,000 rules / 10 rules, equal hits", "Deciding.jubek 1000 all", "Deciding.jubek 10 all");
        ratio("naive / Jubek, with wildcards and patterns", "Deciding.naive mixed all", "Deciding.jubek mixed all");
        ratio("Mime4j's tree / Jubek's reading", "Reading.mime4j", "Reading.jubek");
    }
}
