package app.jubek.benchmarks.engine;

import app.jubek.core.address.MailAddress;
import app.jubek.core.decide.CompiledBook;
import app.jubek.core.decide.Silence;
import app.jubek.core.decide.Trace;
import app.jubek.core.explain.Mark;
import app.jubek.core.matching.ComparedText;
import app.jubek.core.matching.Comparison;
import app.jubek.core.matching.Folding;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.people.AddressBook;
import app.jubek.core.people.OwnSide;
import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.view.MessageContext;
import app.jubek.core.view.MessageView;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.TimeUnit;
import org.ahocorasick.trie.Trie;
import org.apache.jsieve.ConfigurationManager;
import org.apache.jsieve.SieveFactory;
import org.apache.jsieve.parser.generated.Node;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Level;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.infra.Blackhole;

/** One decision on one message of the open mail: every rule's outcome, and where the words of the picked rules stand. */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.NANOSECONDS)
public class Deciding {
    /** Which book: 200 rules as asked; 10 and 1,000 rules with as many hits in a message; with other kinds of values. */
    @Param({"200", "10", "1000", "mixed"})
    public String book;

    /** Which messages: all, or those in ASCII only. */
    @Param({"all", "ascii"})
    public String mail;

    private final ComparedText buffer = new ComparedText();
    private List<ReadMessage> messages;
    private List<JSieveMail> forJSieve;
    private RuleBook rules;
    private CompiledBook compiled;
    private Trie trie;
    private SieveFactory jsieve;
    private Node script;
    private MessageContext context;
    private int at;

    @Setup(Level.Trial)
    public void prepare() throws Exception {
        Mail open = new Mail(Path.of(System.getProperty("open.mail")));
        messages = open.messages().stream()
                .filter(m -> mail.equals("all") || isAscii(m))
                .toList();
        List<String> phrases = switch (book) {
            case "10" -> open.phrases(50, 0.04, 0.2);
            case "1000" -> open.phrases(5_000, 0.0009, 0.0019);
            default -> open.phrases(1_000, 0.004, 0.03);
        };
        rules = book.equals("mixed") ? Books.mixed(phrases) : Books.of(phrases);
        compiled = CompiledBook.of(rules);
        trie = Trie.builder()
                .addKeywords(phrases.stream().map(Folding::fold).toList())
                .build();
        MailAddress me = MailAddress.of("me@example.com");
        context = new MessageContext(
                new OwnSide(me, List.of(me), List.of("example.com")),
                AddressBook.empty(),
                Instant.EPOCH,
                Instant.EPOCH,
                ZoneOffset.UTC,
                false,
                "me@example.com",
                "INBOX",
                false);
        jsieve = new ConfigurationManager().build();
        script = jsieve.parse(new ByteArrayInputStream(Books.script(phrases).getBytes(StandardCharsets.UTF_8)));
        forJSieve = messages.stream().map(JSieveMail::new).toList();
        describe();
    }

    private static boolean isAscii(ReadMessage message) {
        return message.texts().stream().allMatch(StandardCharsets.US_ASCII.newEncoder()::canEncode);
    }

    private void describe() {
        long picked = 0;
        long hits = 0;
        for (ReadMessage message : messages) {
            CompiledBook.Judged judged = compiled.judge(new MessageView(message, context));
            Trace trace = judged.trace();
            for (int i = 0; i < trace.size(); i++) {
                picked += trace.isPicked(i) ? 1 : 0;
                hits += trace.isPicked(i) ? judged.marks(rules.rules().get(i)).size() : 0;
            }
        }
        System.out.printf(
                Locale.ROOT,
                "%n# %s rules, %s mail: %d messages, %.1f rules of %d picked and %.1f places marked on average;"
                        + " compiled %.1f MB%n",
                book,
                mail,
                messages.size(),
                (double) picked / messages.size(),
                rules.rules().size(),
                (double) hits / messages.size(),
                compiledMegabytes());
    }

    /** What a compiled book holds besides the rules: the heap taken by several, after a collection. */
    private double compiledMegabytes() {
        int copies = 16;
        Runtime runtime = Runtime.getRuntime();
        System.gc();
        long before = runtime.totalMemory() - runtime.freeMemory();
        List<CompiledBook> held = java.util.stream.IntStream.range(0, copies)
                .mapToObj(i -> CompiledBook.of(rules))
                .toList();
        System.gc();
        long after = runtime.totalMemory() - runtime.freeMemory();
        return (double) (after - before) / held.size() / (1 << 20);
    }

    private int next() {
        at = at + 1 == messages.size() ? 0 : at + 1;
        return at;
    }

    @Benchmark
    public int jubek(Blackhole hole) {
        return judged(compiled.judge(new MessageView(messages.get(next()), context)), hole);
    }

    private int judged(CompiledBook.Judged judged, Blackhole hole) {
        Trace trace = judged.trace();
        List<Rule> all = rules.rules();
        int spans = 0;
        for (int i = 0; i < trace.size(); i++) {
            if (trace.isPicked(i)) {
                List<Mark> marks = judged.marks(all.get(i));
                hole.consume(marks);
                spans += marks.size();
            }
        }
        return spans;
    }

    /** Folds once, then one rule after the other, each until it is decided; no spans. */
    @Benchmark
    public Trace naive() {
        return Trace.of(rules, new MessageView(messages.get(next()), context), Silence.none());
    }

    @Benchmark
    public int jsieve() throws Exception {
        JSieveMail message = forJSieve.get(next());
        jsieve.evaluate(message, script);
        return message.getActions().size();
    }

    /** The same keys in org.ahocorasick, folding counted too. */
    @Benchmark
    public int ahocorasick() {
        int found = 0;
        for (String text : messages.get(next()).texts()) {
            found += trie.parseText(Folding.fold(text)).size();
        }
        return found;
    }

    /** The floor: folding into a buffer that is used again, and a sum over it. */
    @Benchmark
    public int barePass() {
        int sum = 0;
        for (String text : messages.get(next()).texts()) {
            buffer.load(text, Comparison.FOLDED);
            char[] units = buffer.units();
            for (int i = 0; i < buffer.length(); i++) {
                sum += units[i];
            }
        }
        return sum;
    }

    @Benchmark
    public int folding() {
        int length = 0;
        for (String text : messages.get(next()).texts()) {
            length += buffer.load(text, Comparison.FOLDED).length();
        }
        return length;
    }

    @Benchmark
    public int toLowerCase() {
        int length = 0;
        for (String text : messages.get(next()).texts()) {
            length += text.toLowerCase(Locale.ROOT).length();
        }
        return length;
    }

    @Benchmark
    public CompiledBook compiling() {
        return CompiledBook.of(rules);
    }
}
