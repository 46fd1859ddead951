package app.jubek.demo.postoffice;

import com.icegreen.greenmail.store.FolderListener;
import com.icegreen.greenmail.store.MailFolder;
import jakarta.mail.Flags;
import jakarta.mail.UIDFolder;
import java.lang.reflect.InvocationHandler;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.lang.reflect.Proxy;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A folder of GreenMail that remembers its list of UIDs: GreenMail asks for it once for every message of a folder
 * whenever it fetches, which makes folders of thousands of messages unusable. Its lists of messages are copies: GreenMail
 * hands out the living list, which can't be gone through while mail comes in. One session at a time asks it: GreenMail goes
 * through its messages while another session removes some, and drops the connection then.
 */
final class QuickFolder implements InvocationHandler, FolderListener {
    private final MailFolder folder;
    private volatile long @Nullable [] uids;

    private QuickFolder(MailFolder folder) {
        this.folder = folder;
    }

    static MailFolder over(MailFolder folder) {
        QuickFolder quick = new QuickFolder(folder);
        folder.addListener(quick);
        Class<?>[] both = {MailFolder.class, UIDFolder.class};
        return (MailFolder) Proxy.newProxyInstance(QuickFolder.class.getClassLoader(), both, quick);
    }

    static MailFolder unwrap(MailFolder folder) {
        return Proxy.isProxyClass(folder.getClass()) && Proxy.getInvocationHandler(folder) instanceof QuickFolder quick
                ? quick.folder
                : folder;
    }

    @Override
    public @Nullable Object invoke(Object proxy, Method method, Object @Nullable [] arguments) throws Throwable {
        synchronized (folder) {
            return answer(proxy, method, arguments);
        }
    }

    private @Nullable Object answer(Object proxy, Method method, Object @Nullable [] arguments) throws Throwable {
        switch (method.getName()) {
            case "getMessageUids":
                return knownUids();
            case "equals":
                return arguments != null && proxy == arguments[0];
            default:
                Object answer = asked(method, arguments);
                return answer instanceof List<?> live ? new ArrayList<>(live) : answer;
        }
    }

    private @Nullable Object asked(Method method, Object @Nullable [] arguments) throws Throwable {
        try {
            return method.invoke(folder, unwrapped(arguments));
        } catch (InvocationTargetException thrown) {
            throw thrown.getTargetException();
        }
    }

    private static Object @Nullable [] unwrapped(Object @Nullable [] arguments) {
        return arguments == null
                ? null
                : Arrays.stream(arguments)
                        .map(a -> a instanceof MailFolder other ? unwrap(other) : a)
                        .toArray();
    }

    private long[] knownUids() {
        long[] known = uids;
        if (known == null) {
            known = folder.getMessageUids();
            uids = known;
        }
        return known;
    }

    @Override
    public void expunged(int number) {
        uids = null;
    }

    @Override
    public void added(int number) {
        uids = null;
    }

    @Override
    public void flagsUpdated(int number, Flags flags, Long uid) {
        // Flags change no UIDs.
    }

    @Override
    public void mailboxDeleted() {
        uids = null;
    }
}
