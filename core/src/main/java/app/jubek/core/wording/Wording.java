package app.jubek.core.wording;

import com.ibm.icu.text.ListFormatter;
import com.ibm.icu.text.MessageFormat;
import com.ibm.icu.util.ULocale;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.format.FormatStyle;
import java.util.HashMap;
import java.util.Map;
import java.util.Properties;
import java.util.Set;
import java.util.stream.Collectors;

/** The words of one language for every statement. Safe for use by several threads. */
public final class Wording {
    private static final Wording ENGLISH =
            new Wording(ULocale.UK, resources("en-rules.properties", "en-work.properties"));

    private final ULocale language;
    private final Map<String, MessageFormat> texts = new HashMap<>();

    /**
     * @param texts by the ids of codes, in ICU's message format
     * @throws IllegalArgumentException when a text is malformed
     */
    public Wording(ULocale language, Map<String, String> texts) {
        this.language = language;
        texts.forEach((code, text) -> this.texts.put(code, new MessageFormat(text, language)));
    }

    /** British English, as shipped. */
    public static Wording english() {
        return ENGLISH;
    }

    private static Map<String, String> resources(String... names) {
        Properties read = new Properties();
        for (String name : names) {
            try (InputStream in = Wording.class.getResourceAsStream(name)) {
                read.load(new InputStreamReader(in, StandardCharsets.UTF_8));
            } catch (IOException unreadable) {
                throw new UncheckedIOException(unreadable);
            }
        }
        return read.stringPropertyNames().stream().collect(Collectors.toMap(key -> key, read::getProperty));
    }

    /** The ids of the codes that it has words for. */
    public Set<String> codes() {
        return Set.copyOf(texts.keySet());
    }

    public String of(Code code, Object... arguments) {
        return of(Statement.of(code, arguments));
    }

    /** A code without words, as of a later version, is told as it is. */
    public String of(Statement statement) {
        MessageFormat text = texts.get(statement.code());
        if (text == null) {
            return statement.code();
        }
        Object[] filled = statement.arguments().stream().map(this::filled).toArray();
        synchronized (text) {
            return text.format(filled);
        }
    }

    private Object filled(Argument argument) {
        return argument instanceof Argument.Amount amount ? (Object) amount.number() : text(argument);
    }

    private String text(Argument argument) {
        if (argument instanceof Argument.Several several) {
            return joined(several);
        }
        if (argument instanceof Statement statement) {
            return of(statement);
        }
        if (argument instanceof Argument.Day day) {
            return written(day.date());
        }
        return argument instanceof Argument.Amount amount
                ? Long.toString(amount.number())
                : ((Argument.Text) argument).text();
    }

    private String written(LocalDate day) {
        return DateTimeFormatter.ofLocalizedDate(FormatStyle.LONG)
                .localizedBy(language.toLocale())
                .format(day);
    }

    private String joined(Argument.Several several) {
        ListFormatter list = switch (several.join()) {
            case AND -> ListFormatter.getInstance(language, ListFormatter.Type.AND, ListFormatter.Width.WIDE);
            case OR -> ListFormatter.getInstance(language, ListFormatter.Type.OR, ListFormatter.Width.WIDE);
            case COMMA -> ListFormatter.getInstance(language, ListFormatter.Type.UNITS, ListFormatter.Width.SHORT);
        };
        return list.format(several.items().stream().map(this::text).toList());
    }
}
