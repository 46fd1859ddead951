package app.jubek.server.platform;

import app.jubek.formats.rulebook.FormatException;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotWritableException;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;

/** Every refusal as problem details (RFC 9457), in words a person can act on. */
@RestControllerAdvice
class ProblemResponses extends ResponseEntityExceptionHandler {
    private static final Logger LOG = LoggerFactory.getLogger(ProblemResponses.class);

    @ExceptionHandler
    ResponseEntity<ProblemDetail> refused(Refused refused) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(refused.status(), refused.getMessage());
        problem.setProperty("places", refused.places());
        refused.more().forEach(problem::setProperty);
        return ResponseEntity.status(refused.status()).body(problem);
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> malformed(FormatException malformed) {
        return refused(Refused.invalid(
                malformed.getMessage(),
                malformed.faults().stream()
                        .map(f -> new Refused.Place(f.path(), f.message()))
                        .toList()));
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> illegal(IllegalArgumentException illegal) {
        return refused(Refused.invalid(String.valueOf(illegal.getMessage()), java.util.List.of()));
    }

    @ExceptionHandler({CannotCreateTransactionException.class, DataAccessException.class})
    ResponseEntity<ProblemDetail> database(Exception failed) {
        LOG.warn("the database did not answer: {}", failed.toString());
        return refused(Refused.unavailable(
                "The database does not answer just now. Nothing was changed; try again in a moment."));
    }

    /** Somebody went away before the answer was there: nothing to say, and to nobody. */
    @Override
    protected @Nullable ResponseEntity<Object> handleHttpMessageNotWritable(
            HttpMessageNotWritableException gone, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        LOG.debug("an answer could not be written: {}", gone.toString());
        return null;
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> unexpected(RuntimeException unexpected) {
        LOG.error("unexpected failure", unexpected);
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(
                HttpStatus.INTERNAL_SERVER_ERROR,
                "Something failed inside Jubek. Nothing was changed by this request; the log has the cause.");
        return ResponseEntity.internalServerError().body(problem);
    }
}
