package app.jubek.server.http;

import app.jubek.server.platform.JubekProperties;
import app.jubek.server.platform.SettingFault;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.apache.catalina.core.StandardHost;
import org.apache.catalina.valves.RemoteIpValve;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.stereotype.Component;

/**
 * Where the page can be reached, and whose word about that counts: forwarded headers are believed from the listed proxies
 * alone. Beyond this machine passwords and sessions go through TLS, so without a proxy or TLS of its own it does not start.
 */
@Component
public class WebServer implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {
    private final List<String> proxies;

    WebServer(
            JubekProperties properties,
            @Value("${server.address:0.0.0.0}") String address,
            @Value("${server.ssl.bundle:${server.ssl.certificate:${server.ssl.key-store:}}}") @Nullable String tls) {
        this.proxies = properties.web().trustedProxies();
        proxies.forEach(WebServer::checkAddress);
        boolean plain = proxies.isEmpty() && Optional.ofNullable(tls).orElse("").isBlank();
        if (plain && !isLoopback(address) && !properties.web().allowPlainHttp()) {
            throw SettingFault.unusable(
                    "server.address",
                    address
                            + " can be reached from other machines, and passwords would go there unencrypted; put a proxy"
                            + " with TLS in front and name it in jubek.web.trusted-proxies, or say"
                            + " jubek.web.allow-plain-http=true");
        }
    }

    /** Whether all that comes in has to come through TLS. */
    public boolean isBehindProxy() {
        return !proxies.isEmpty();
    }

    private static boolean isLoopback(String address) {
        try {
            return InetAddress.getByName(address).isLoopbackAddress();
        } catch (UnknownHostException unknown) {
            throw SettingFault.unusable("server.address", "\"" + address + "\" is no address of this machine");
        }
    }

    private static void checkAddress(String proxy) {
        boolean literal = proxy.chars().allMatch(c -> Character.digit(c, 16) >= 0 || c == '.' || c == ':');
        if (!literal || proxy.isBlank()) {
            throw SettingFault.unusable(
                    "jubek.web.trusted-proxies", "\"" + proxy + "\" is no IP address: write it like 192.0.2.10");
        }
    }

    @Override
    public void customize(TomcatServletWebServerFactory factory) {
        factory.addContextCustomizers(context -> {
            if (context.getParent() instanceof StandardHost host) {
                host.setErrorReportValveClass(ConnectorErrors.class.getName());
            }
        });
        if (isBehindProxy()) {
            RemoteIpValve forwarded = new RemoteIpValve();
            forwarded.setInternalProxies(
                    proxies.stream().map(proxy -> proxy.replace(".", "\\.")).collect(Collectors.joining("|")));
            forwarded.setProtocolHeader("X-Forwarded-Proto");
            factory.addEngineValves(forwarded);
        }
    }
}
