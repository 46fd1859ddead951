package app.jubek.demo.faults;

import java.io.FilterInputStream;
import java.io.IOException;
import java.net.Socket;
import jdk.net.ExtendedSocketOptions;

/**
 * Acknowledges at once what comes in: a server that writes in small pieces and waits for each to be acknowledged would
 * otherwise stand still for 40 ms a message.
 */
final class PromptInput extends FilterInputStream {
    private final Socket socket;
    private final boolean supported;

    PromptInput(Socket socket) throws IOException {
        super(socket.getInputStream());
        this.socket = socket;
        this.supported = socket.supportedOptions().contains(ExtendedSocketOptions.TCP_QUICKACK);
    }

    @Override
    public int read(byte[] into, int from, int length) throws IOException {
        if (supported) {
            socket.setOption(ExtendedSocketOptions.TCP_QUICKACK, true);
        }
        return super.read(into, from, length);
    }
}
