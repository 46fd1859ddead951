package app.jubek.core.reading;

import app.jubek.core.message.Attachment;
import app.jubek.core.message.Charsets;
import app.jubek.core.message.EncodedWords;
import app.jubek.core.message.ReadMessage;
import app.jubek.core.message.ReadingNote;
import app.jubek.core.message.ReportPart;
import app.jubek.core.text.Budget;
import app.jubek.core.text.Limits;
import app.jubek.core.wording.Statement;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.apache.james.mime4j.parser.AbstractContentHandler;
import org.apache.james.mime4j.stream.BodyDescriptor;
import org.apache.james.mime4j.stream.Field;

/** Gathers texts and attachments while the parser walks through the parts; cuts at the limits. */
final class PartCollector extends AbstractContentHandler {
    private static final int REPORTED = 1 << 16;
    private static final int MOST_REPORT_PARTS = 5;

    private final Limits limits;
    private final Budget budget;
    private final HeaderCollector header;
    private final Set<Statement> notes = new LinkedHashSet<>();
    private final Deque<Multipart> open = new ArrayDeque<>();
    private final List<Attachment> attachments = new ArrayList<>();
    private final Set<String> mediaTypes = new LinkedHashSet<>();
    private final Multipart top = new Multipart(false);
    private Optional<String> html = Optional.empty();
    private final List<ReportPart> report = new ArrayList<>();
    private Runnable stop = () -> {};
    private int parts;
    private boolean headerCut;
    private Optional<Parameters> disposition = Optional.empty();
    private Optional<Parameters> type = Optional.empty();

    PartCollector(Limits limits, Budget budget) {
        this.limits = limits;
        this.budget = budget;
        this.header = new HeaderCollector(limits);
    }

    void whenLimitReached(Runnable stopParsing) {
        stop = stopParsing;
    }

    void note(Statement what) {
        notes.add(what);
    }

    /**
     * @param what was not read; nothing when all was
     */
    void headerWasCut(List<Statement> what) {
        headerCut = !what.isEmpty();
        notes.addAll(what);
    }

    ReadMessage message(long size) {
        while (!open.isEmpty()) {
            endMultipart();
        }
        return header.message(new HeaderCollector.Body(
                top.texts(),
                html,
                List.copyOf(attachments),
                mediaTypes,
                size,
                headerCut,
                new ArrayList<>(notes),
                List.copyOf(report)));
    }

    @Override
    public void startHeader() {
        disposition = Optional.empty();
        type = Optional.empty();
    }

    @Override
    public void field(Field field) {
        budget.ask();
        if (open.isEmpty() && parts == 0) {
            header.add(field);
        }
        if (field.getName().equalsIgnoreCase("Content-Disposition")) {
            disposition = disposition.or(() -> Optional.of(parameters(field)));
        } else if (field.getName().equalsIgnoreCase("Content-Type")) {
            type = type.or(() -> Optional.of(parameters(field)));
        }
    }

    private Parameters parameters(Field field) {
        Parameters parameters = Parameters.of(RawFields.unfoldedBody(field), limits.parameters());
        if (parameters.isCut()) {
            notes.add(ReadingNote.PARAMETERS_LEFT.with(limits.parameters()));
        }
        return parameters;
    }

    @Override
    public void startMultipart(BodyDescriptor descriptor) {
        mediaTypes.add(descriptor.getMimeType());
        open.push(new Multipart("alternative".equalsIgnoreCase(descriptor.getSubType())));
        countPart();
        if (open.size() > limits.depth()) {
            cut(ReadingNote.NESTED_TOO_DEEP.with(limits.depth()));
        }
    }

    @Override
    public void endMultipart() {
        Multipart ended = open.pop();
        (open.isEmpty() ? top : open.peek()).adopt(ended);
    }

    @Override
    public void body(BodyDescriptor descriptor, InputStream content) throws IOException {
        countPart();
        mediaTypes.add(descriptor.getMimeType());
        String name = fileName();
        boolean isText = descriptor.getMimeType().startsWith("text/") && name.isEmpty();
        if (ReportPart.MEDIA_TYPES.contains(descriptor.getMimeType()) && report.size() < MOST_REPORT_PARTS) {
            long bytes = reported(descriptor, content);
            attachments.add(new Attachment(name, descriptor.getMimeType(), bytes));
        } else if (isText && !descriptor.getMimeType().equals("text/calendar")) {
            text(descriptor, content);
        } else {
            long bytes = content.transferTo(OutputStream.nullOutputStream());
            attachments.add(new Attachment(name, descriptor.getMimeType(), bytes));
        }
    }

    /** Its beginning is enough: of an attached message the header. */
    private long reported(BodyDescriptor descriptor, InputStream content) throws IOException {
        byte[] beginning = content.readNBytes(REPORTED);
        report.add(new ReportPart(
                descriptor.getMimeType(),
                Charsets.decode(beginning, Optional.of("utf-8")).text()));
        return beginning.length + content.transferTo(OutputStream.nullOutputStream());
    }

    private void text(BodyDescriptor descriptor, InputStream content) throws IOException {
        byte[] bytes = content.readNBytes(limits.textChars());
        if (content.transferTo(OutputStream.nullOutputStream()) > 0) {
            notes.add(ReadingNote.TEXT_CUT.with(limits.textChars()));
        }
        Charsets.Decoded decoded = Charsets.decode(bytes, Optional.ofNullable(descriptor.getCharset()));
        decoded.note().ifPresent(notes::add);
        Multipart into = open.isEmpty() ? top : open.peek();
        if (descriptor.getMimeType().equals("text/html")) {
            html = html.or(() -> Optional.of(decoded.text()));
            into.addHtml(HtmlText.of(decoded.text()));
        } else {
            into.addPlain(decoded.text());
        }
    }

    private void countPart() {
        budget.ask();
        parts++;
        if (parts > limits.parts()) {
            cut(ReadingNote.PARTS_LEFT.with(limits.parts()));
        }
    }

    private void cut(Statement why) {
        notes.add(why);
        stop.run();
    }

    private String fileName() {
        return disposition
                .flatMap(parameters -> parameters.value("filename"))
                .or(() -> type.flatMap(parameters -> parameters.value("name")))
                .map(name -> EncodedWords.decode(name, limits.encodedWords()))
                .orElse("");
    }

    /** Texts of one multipart; of an alternative only the plain form is kept, or where there is none the HTML's. */
    private static final class Multipart {
        private final boolean alternative;
        private final List<String> plain = new ArrayList<>();
        private final List<String> fromHtml = new ArrayList<>();
        private final List<String> inOrder = new ArrayList<>();

        Multipart(boolean alternative) {
            this.alternative = alternative;
        }

        void addPlain(String text) {
            plain.add(text);
            inOrder.add(text);
        }

        void addHtml(String text) {
            fromHtml.add(text);
            inOrder.add(text);
        }

        void adopt(Multipart child) {
            boolean isHtml = child.plain.isEmpty();
            child.texts().forEach(isHtml ? this::addHtml : this::addPlain);
        }

        List<String> texts() {
            if (!alternative) {
                return List.copyOf(inOrder);
            }
            return List.copyOf(plain.isEmpty() ? fromHtml : plain);
        }
    }
}
