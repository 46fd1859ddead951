package app.jubek.server.account;

import jakarta.servlet.http.HttpServletRequest;
import java.io.Serializable;
import java.net.Inet6Address;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.util.HexFormat;
import java.util.Optional;

/**
 * Where somebody signs in from.
 *
 * @param place the address; of IPv6 the network of 64 bits, as one customer has all of it
 * @param browser what the browser says of itself
 * @param known the mark of a browser that signed in under this name before; empty of another one
 */
record SignInOrigin(String place, String browser, String known) implements Serializable {
    private static final long serialVersionUID = 1L;

    private static final int LONGEST = 200;
    private static final int NETWORK = 8;

    static SignInOrigin of(HttpServletRequest request, Optional<String> known) {
        String agent = Optional.ofNullable(request.getHeader("User-Agent")).orElse("");
        return new SignInOrigin(
                place(request.getRemoteAddr()),
                agent.substring(0, Math.min(agent.length(), LONGEST)),
                known.orElse(""));
    }

    private static String place(String address) {
        try {
            InetAddress parsed = InetAddress.getByName(address);
            return parsed instanceof Inet6Address && !parsed.isLoopbackAddress()
                    ? HexFormat.of().formatHex(parsed.getAddress(), 0, NETWORK)
                    : parsed.getHostAddress();
        } catch (UnknownHostException none) {
            return address;
        }
    }
}
