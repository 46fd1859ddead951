package app.jubek.server.composing;

import java.net.InetAddress;
import java.util.stream.Stream;
import org.springframework.security.web.util.matcher.IpAddressMatcher;

/** Addresses that mean this machine or the network around it, and not the Internet. */
final class InnerNetwork {
    /** RFC 6598, carriers' own; RFC 4193, unique local. */
    private static final IpAddressMatcher SHARED = new IpAddressMatcher("100.64.0.0/10");

    private static final IpAddressMatcher UNIQUE_LOCAL = new IpAddressMatcher("fc00::/7");

    private InnerNetwork() {}

    /**
     * Loopback, private (RFC 1918), link-local (RFC 3927, RFC 4291 §2.5.6), shared, unique local, multicast and the unspecified
     * address.
     */
    static boolean holds(InetAddress address) {
        return address.isLoopbackAddress()
                || address.isSiteLocalAddress()
                || address.isLinkLocalAddress()
                || address.isAnyLocalAddress()
                || address.isMulticastAddress()
                || Stream.of(SHARED, UNIQUE_LOCAL).anyMatch(range -> range.matches(address.getHostAddress()));
    }
}
