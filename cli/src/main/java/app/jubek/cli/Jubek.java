package app.jubek.cli;

import java.io.PrintStream;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import picocli.CommandLine;
import picocli.CommandLine.Command;

/**
 * The command line. Exit status: 0 done, 1 a trial differs, 2 the input is at fault, 3 converted but not all of it.
 */
@Command(
        name = "jubek",
        description = "Decides what rules do with mail, runs trials, and carries rules from one format to another.",
        mixinStandardHelpOptions = true,
        version = "Jubek 0.1.0",
        subcommands = {Decide.class, Convert.class, Try.class, Rehearse.class})
public final class Jubek implements Runnable {
    static final int DIFFERS = 1;
    static final int AT_FAULT = 2;
    static final int NOT_ALL = 3;

    @CommandLine.Spec
    private CommandLine.Model.CommandSpec spec;

    @Override
    public void run() {
        spec.commandLine().usage(spec.commandLine().getOut());
    }

    public static void main(String[] arguments) {
        PrintStream out = new PrintStream(System.out, false, StandardCharsets.UTF_8);
        PrintStream err = new PrintStream(System.err, true, StandardCharsets.UTF_8);
        int status = run(out, err, arguments);
        out.flush();
        System.exit(status);
    }

    /** Returns the exit status. */
    static int run(PrintStream out, PrintStream err, String... arguments) {
        CommandLine line = new CommandLine(new Jubek());
        line.setOut(new PrintWriter(out, true, StandardCharsets.UTF_8));
        line.setErr(new PrintWriter(err, true, StandardCharsets.UTF_8));
        line.setExecutionExceptionHandler((failed, command, parsed) -> {
            if (failed instanceof BadFile bad) {
                command.getErr().println("jubek: " + bad.getMessage());
                return AT_FAULT;
            }
            throw failed;
        });
        return line.execute(arguments);
    }
}
