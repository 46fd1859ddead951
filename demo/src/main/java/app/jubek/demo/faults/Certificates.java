package app.jubek.demo.faults;

import java.io.IOException;
import java.io.OutputStream;
import java.math.BigInteger;
import java.net.Socket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.KeyStore;
import java.security.cert.Certificate;
import java.security.cert.X509Certificate;
import java.time.Duration;
import java.time.Instant;
import java.util.Date;
import javax.net.ssl.KeyManagerFactory;
import javax.net.ssl.SSLContext;
import javax.net.ssl.SSLSocket;
import org.bouncycastle.asn1.x500.X500Name;
import org.bouncycastle.asn1.x509.BasicConstraints;
import org.bouncycastle.asn1.x509.Extension;
import org.bouncycastle.asn1.x509.GeneralName;
import org.bouncycastle.asn1.x509.GeneralNames;
import org.bouncycastle.cert.CertIOException;
import org.bouncycastle.cert.jcajce.JcaX509CertificateConverter;
import org.bouncycastle.cert.jcajce.JcaX509v3CertificateBuilder;
import org.bouncycastle.operator.OperatorCreationException;
import org.bouncycastle.operator.jcajce.JcaContentSignerBuilder;

/** A valid and an expired certificate for 127.0.0.2 by an authority, made anew by every process that needs them. */
public final class Certificates {
    private static final char[] PASSWORD = "simulated".toCharArray();
    private static final X500Name AUTHORITY = new X500Name("CN=Simulated authority");
    private static final X500Name NAME = new X500Name("CN=post-office.example");

    private final Path folder;
    private @org.jspecify.annotations.Nullable Made made;

    /** A key and its certificate. */
    private record Own(KeyPair keys, X509Certificate certificate) {}

    private record Made(Own authority, Own valid, Own expired) {}

    public Certificates(Path folder) {
        this.folder = folder;
    }

    /** A store of the authority's certificate, for a client that is to trust it. */
    public synchronized Path trusted() throws IOException {
        Path store = folder.resolve("trusted.p12");
        Files.createDirectories(folder);
        try (OutputStream out = Files.newOutputStream(store)) {
            KeyStore trusted = empty();
            trusted.setCertificateEntry("authority", made().authority().certificate());
            trusted.store(out, PASSWORD);
        } catch (GeneralSecurityException failed) {
            throw new IOException(failed);
        }
        return store;
    }

    /** The server's side of TLS over a connection. */
    Socket secure(Socket plain, boolean expired) throws IOException {
        try {
            Own own = expired ? made().expired() : made().valid();
            KeyStore store = empty();
            store.setKeyEntry("own", own.keys().getPrivate(), PASSWORD, new Certificate[] {own.certificate()});
            KeyManagerFactory managers = KeyManagerFactory.getInstance(KeyManagerFactory.getDefaultAlgorithm());
            managers.init(store, PASSWORD);
            SSLContext context = SSLContext.getInstance("TLS");
            context.init(managers.getKeyManagers(), null, null);
            SSLSocket secure = (SSLSocket) context.getSocketFactory().createSocket(plain, null, plain.getPort(), true);
            secure.setUseClientMode(false);
            secure.startHandshake();
            return secure;
        } catch (GeneralSecurityException failed) {
            throw new IOException(failed);
        }
    }

    private synchronized Made made() throws IOException {
        if (made == null) {
            Instant now = Instant.now();
            KeyPair keys = pair();
            Own authority = new Own(keys, certificate(AUTHORITY, keys, keys, now.plus(Duration.ofDays(30))));
            made = new Made(
                    authority,
                    signed(keys, now.plus(Duration.ofDays(30))),
                    signed(keys, now.minus(Duration.ofDays(1))));
        }
        return made;
    }

    private static Own signed(KeyPair authority, Instant until) throws IOException {
        KeyPair keys = pair();
        return new Own(keys, certificate(NAME, keys, authority, until));
    }

    private static X509Certificate certificate(X500Name name, KeyPair keys, KeyPair authority, Instant until)
            throws IOException {
        try {
            JcaX509v3CertificateBuilder builder = new JcaX509v3CertificateBuilder(
                    AUTHORITY,
                    BigInteger.valueOf(until.toEpochMilli()),
                    Date.from(until.minus(Duration.ofDays(60))),
                    Date.from(until),
                    name,
                    keys.getPublic());
            if (name.equals(AUTHORITY)) {
                builder.addExtension(Extension.basicConstraints, true, new BasicConstraints(true));
            } else {
                GeneralName address = new GeneralName(GeneralName.iPAddress, "127.0.0.2");
                builder.addExtension(Extension.subjectAlternativeName, false, new GeneralNames(address));
            }
            return new JcaX509CertificateConverter()
                    .getCertificate(builder.build(
                            new JcaContentSignerBuilder("SHA256withECDSA").build(authority.getPrivate())));
        } catch (GeneralSecurityException | OperatorCreationException | CertIOException failed) {
            throw new IOException(failed);
        }
    }

    private static KeyPair pair() throws IOException {
        try {
            KeyPairGenerator generator = KeyPairGenerator.getInstance("EC");
            generator.initialize(256);
            return generator.generateKeyPair();
        } catch (GeneralSecurityException failed) {
            throw new IOException(failed);
        }
    }

    private static KeyStore empty() throws IOException, GeneralSecurityException {
        KeyStore store = KeyStore.getInstance("PKCS12");
        store.load(null, PASSWORD);
        return store;
    }
}
