package app.jubek.benchmarks.engine;

import app.jubek.core.message.ReadMessage;
import app.jubek.core.reading.MessageReading;
import app.jubek.core.text.Limits;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.apache.james.mime4j.dom.Message;
import org.apache.james.mime4j.message.DefaultMessageBuilder;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Level;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;

/** Reading one message whole, beside Mime4j's own tree. */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.NANOSECONDS)
public class Reading {
    private final MessageReading reading = new MessageReading(Limits.standard());
    private final DefaultMessageBuilder builder = new DefaultMessageBuilder();
    private List<byte[]> bytes;
    private int at;

    @Setup(Level.Trial)
    public void prepare() {
        bytes = new Mail(Path.of(System.getProperty("open.mail"))).bytes();
    }

    private byte[] next() {
        at = at + 1 == bytes.size() ? 0 : at + 1;
        return bytes.get(at);
    }

    @Benchmark
    public ReadMessage jubek() {
        return reading.read(next());
    }

    @Benchmark
    public Message mime4j() throws IOException {
        return builder.parseMessage(new ByteArrayInputStream(next()));
    }
}
