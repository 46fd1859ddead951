package app.jubek.server.composing;

import java.net.InetAddress;

/** Addresses that mean this machine or the network around it, and not the Internet. */
final class InnerNetwork {
    private static final int UNIQUE_LOCAL = 0xFC;
    private static final int UNIQUE_LOCAL_MASK = 0xFE;
    private static final int SHARED_FIRST = 100;
    private static final int SHARED_SECOND = 64;
    private static final int SHARED_MASK = 0xC0;
    private static final int IPV4_BYTES = 4;

    private InnerNetwork() {}

    /**
     * Loopback, private (RFC 1918), link-local (RFC 3927, RFC 4291 §2.5.6), shared (RFC 6598), unique local (RFC 4193),
     * multicast and the unspecified address.
     */
    static boolean holds(InetAddress address) {
        byte[] bytes = address.getAddress();
        boolean shared =
                bytes.length == IPV4_BYTES && bytes[0] == SHARED_FIRST && (bytes[1] & SHARED_MASK) == SHARED_SECOND;
        boolean uniqueLocal = bytes.length > IPV4_BYTES && (bytes[0] & UNIQUE_LOCAL_MASK) == UNIQUE_LOCAL;
        return address.isLoopbackAddress()
                || address.isSiteLocalAddress()
                || address.isLinkLocalAddress()
                || address.isAnyLocalAddress()
                || address.isMulticastAddress()
                || shared
                || uniqueLocal;
    }
}
