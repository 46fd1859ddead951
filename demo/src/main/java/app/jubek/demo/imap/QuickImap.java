package app.jubek.demo.imap;

import com.icegreen.greenmail.Managers;
import com.icegreen.greenmail.imap.ImapHandler;
import com.icegreen.greenmail.imap.ImapRequestHandler;
import com.icegreen.greenmail.imap.ImapResponse;
import com.icegreen.greenmail.imap.ImapSession;
import com.icegreen.greenmail.imap.ImapSessionFolder;
import com.icegreen.greenmail.imap.ImapSessionImpl;
import com.icegreen.greenmail.server.AbstractServer;
import com.icegreen.greenmail.server.ProtocolHandler;
import com.icegreen.greenmail.store.FolderException;
import com.icegreen.greenmail.store.FolderListener;
import com.icegreen.greenmail.store.MailFolder;
import com.icegreen.greenmail.util.ServerSetup;
import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.InputStream;
import java.io.OutputStream;
import java.lang.reflect.Field;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.lang.reflect.Proxy;
import java.net.Socket;
import java.util.Arrays;

/**
 * GreenMail's IMAP server, with folders that know the number of a message at once. GreenMail's own search through the
 * whole folder for every message of it, whatever a command is about, so that each command takes the square of the folder.
 */
public final class QuickImap extends AbstractServer {
    public QuickImap(ServerSetup setup, Managers managers) {
        super(setup, managers);
    }

    @Override
    protected ProtocolHandler createProtocolHandler(Socket socket) {
        return new Connection(managers, socket);
    }

    private static final class Connection extends ImapHandler {
        private final Managers managers;
        private final ImapRequestHandler requests = new ImapRequestHandler();

        Connection(Managers managers, Socket socket) {
            super(managers.getUserManager(), managers.getImapHostManager(), socket);
            this.managers = managers;
        }

        @Override
        public void run() {
            try (InputStream in = new NoonDates(new BufferedInputStream(socket.getInputStream()));
                    OutputStream out = new BufferedOutputStream(socket.getOutputStream())) {
                new ImapResponse(out).okResponse(null, "The simulated post office is ready");
                ImapSession session = session();
                boolean more = true;
                while (more && !isQuitting()) {
                    more = requests.handleRequest(in, out, session);
                }
            } catch (Exception brokenOff) {
                log.debug("An IMAP connection ended", brokenOff);
            } finally {
                close();
            }
        }

        @Override
        public void forceConnectionClose(String reason) {
            close();
        }

        private ImapSession session() {
            ImapSessionImpl session = new ImapSessionImpl(
                    managers.getImapHostManager(),
                    managers.getUserManager(),
                    this,
                    socket.getInetAddress().getHostAddress());
            return (ImapSession) Proxy.newProxyInstance(
                    QuickImap.class.getClassLoader(),
                    new Class<?>[] {ImapSession.class},
                    (proxy, method, arguments) -> {
                        Object answer = asked(session, method, arguments);
                        if (method.getName().equals("setSelected")) {
                            select(session, (MailFolder) arguments[0], (Boolean) arguments[1]);
                        }
                        return answer;
                    });
        }

        private static Object asked(ImapSession session, Method method, Object[] arguments) throws Throwable {
            try {
                return method.invoke(session, arguments);
            } catch (InvocationTargetException thrown) {
                throw thrown.getTargetException();
            }
        }

        /** GreenMail lets nobody choose the folder of a session: it is put in the place of its own. */
        private static void select(ImapSessionImpl session, MailFolder folder, boolean readOnly)
                throws ReflectiveOperationException {
            folder.removeListener(session.getSelected());
            Field selected = ImapSessionImpl.class.getDeclaredField("selectedMailbox");
            selected.setAccessible(true);
            selected.set(session, new SelectedFolder(folder, session, readOnly));
        }
    }

    private static final class SelectedFolder extends ImapSessionFolder {
        SelectedFolder(MailFolder folder, ImapSession session, boolean readOnly) {
            super(folder, session, readOnly);
        }

        @Override
        public int getMsn(long uid) throws FolderException {
            int place = Arrays.binarySearch(getMessageUids(), uid);
            return place < 0 ? super.getMsn(uid) : place + 1;
        }

        /** GreenMail says nothing of a message that came in after IDLE was asked for and before it listens. */
        @Override
        public void addListener(FolderListener listener) {
            super.addListener(listener);
            if (isSizeChanged()) {
                listener.added(getMessageCount());
            }
        }

        /** GreenMail forgets the change after it has told the number, and with it a message that came in between. */
        @Override
        public boolean isSizeChanged() {
            boolean changed = super.isSizeChanged();
            if (changed) {
                super.setSizeChanged(false);
            }
            return changed;
        }

        @Override
        public void setSizeChanged(boolean changed) {
            if (changed) {
                super.setSizeChanged(true);
            }
        }
    }
}
