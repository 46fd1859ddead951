package app.jubek.server.http;

import java.io.IOException;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ErrorReportValve;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;

/** Requests that the web server refuses before Jubek sees them; made by it, by name. */
public final class ConnectorErrors extends ErrorReportValve {
    private static final Logger LOG = LoggerFactory.getLogger(ConnectorErrors.class);

    @Override
    protected void report(Request request, Response response, @Nullable Throwable thrown) {
        HttpStatus status = HttpStatus.resolve(response.getStatus());
        if (status == null || !status.isError() || response.getContentWritten() > 0 || !response.setErrorReported()) {
            return;
        }
        try {
            response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
            response.getOutputStream().write(Problems.json(status, Problems.usual(status)));
            response.finishResponse();
        } catch (IOException | IllegalStateException gone) {
            LOG.debug("a refusal could not be written: {}", gone.toString());
        }
    }
}
