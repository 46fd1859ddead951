package app.jubek.demo.faults;

import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.Socket;
import java.nio.charset.StandardCharsets;

/** One end of a relayed conversation, by lines and bytes. */
final class Wire implements AutoCloseable {
    private Socket socket;
    private InputStream in;
    private OutputStream out;

    Wire(Socket socket) throws IOException {
        attach(socket);
    }

    void attach(Socket to) throws IOException {
        socket = to;
        socket.setTcpNoDelay(true);
        in = new BufferedInputStream(new PromptInput(socket), 1 << 16);
        out = new BufferedOutputStream(socket.getOutputStream(), 1 << 16);
    }

    Socket socket() {
        return socket;
    }

    /** A line with its end; empty at the end of the stream. Bytes as ISO 8859-1. */
    String line() throws IOException {
        ByteArrayOutputStream line = new ByteArrayOutputStream();
        int next;
        do {
            next = in.read();
            if (next >= 0) {
                line.write(next);
            }
        } while (next >= 0 && next != '\n');
        return line.toString(StandardCharsets.ISO_8859_1);
    }

    /** Passes bytes on as they are. */
    void copyTo(Wire other, long count) throws IOException {
        byte[] buffer = new byte[1 << 16];
        long left = count;
        while (left > 0) {
            int n = in.read(buffer, 0, (int) Math.min(left, buffer.length));
            if (n < 0) {
                throw new IOException("ended in the middle of a literal");
            }
            other.out.write(buffer, 0, n);
            left -= n;
        }
    }

    void write(String text) throws IOException {
        out.write(text.getBytes(StandardCharsets.ISO_8859_1));
    }

    /** Sends what was written, unless more is there to be passed on at once. */
    void flushAfter(Wire source) throws IOException {
        if (source.in.available() == 0) {
            out.flush();
        }
    }

    void flush() throws IOException {
        out.flush();
    }

    @Override
    public void close() {
        try {
            socket.close();
        } catch (IOException gone) {
            // It is closed either way.
        }
    }
}
