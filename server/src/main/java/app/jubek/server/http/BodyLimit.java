package app.jubek.server.http;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** No request has a larger body than the largest that the page sends: a document of 10 MB. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class BodyLimit extends OncePerRequestFilter {
    static final long MOST = 16L << 20;

    /** Thrown while a body of untold length is read. */
    static final class TooLarge extends IOException {
        private static final long serialVersionUID = 1L;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (request.getContentLengthLong() > MOST) {
            Problems.write(response, HttpStatus.CONTENT_TOO_LARGE, Problems.usual(HttpStatus.CONTENT_TOO_LARGE));
            return;
        }
        chain.doFilter(new Limited(request), response);
    }

    private static final class Limited extends HttpServletRequestWrapper {
        Limited(HttpServletRequest request) {
            super(request);
        }

        @Override
        public ServletInputStream getInputStream() throws IOException {
            ServletInputStream in = super.getInputStream();
            return new ServletInputStream() {
                private long read;

                @Override
                public int read() throws IOException {
                    int next = in.read();
                    count(next < 0 ? 0 : 1);
                    return next;
                }

                @Override
                public int read(byte[] into, int from, int length) throws IOException {
                    int n = in.read(into, from, length);
                    count(Math.max(n, 0));
                    return n;
                }

                private void count(int bytes) throws TooLarge {
                    read += bytes;
                    if (read > MOST) {
                        throw new TooLarge();
                    }
                }

                @Override
                public boolean isFinished() {
                    return in.isFinished();
                }

                @Override
                public boolean isReady() {
                    return in.isReady();
                }

                @Override
                public void setReadListener(ReadListener listener) {
                    in.setReadListener(listener);
                }
            };
        }
    }
}
