package app.jubek.server.http;

import app.jubek.core.text.Budget;
import app.jubek.formats.rulebook.FormatException;
import app.jubek.server.platform.Border;
import app.jubek.server.platform.Refused;
import app.jubek.server.platform.SqlState;
import java.util.List;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.http.converter.HttpMessageNotWritableException;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import tools.jackson.databind.DatabindException;

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
        return refused(Refused.invalid(String.valueOf(illegal.getMessage()), List.of()));
    }

    @ExceptionHandler({CannotCreateTransactionException.class, DataAccessException.class})
    ResponseEntity<ProblemDetail> database(Exception failed) {
        if (SqlState.isOfData(failed)) {
            LOG.info(
                    "a value was refused by the database: {}",
                    Border.failure(failed).trace());
            return refused(Refused.invalid(
                    "A value has a sign in it that can't be kept or looked for, or is too long. Nothing was changed.",
                    List.of()));
        }
        LOG.warn("the database did not answer: {}", failed.toString());
        return refused(Refused.unavailable(
                "The database does not answer just now. Nothing was changed; try again in a moment."));
    }

    /** Says which member of the body is the matter. */
    @Override
    protected @Nullable ResponseEntity<Object> handleHttpMessageNotReadable(
            HttpMessageNotReadableException broken, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        if (broken.getCause() instanceof BodyLimit.TooLarge) {
            return problem(HttpStatus.CONTENT_TOO_LARGE, Problems.usual(HttpStatus.CONTENT_TOO_LARGE));
        }
        if (broken.getCause() instanceof DatabindException unfit
                && !unfit.getPath().isEmpty()) {
            String place = unfit.getPath().stream()
                    .map(step -> "/" + (step.getPropertyName() == null ? step.getIndex() : step.getPropertyName()))
                    .collect(Collectors.joining());
            return problem(
                    HttpStatus.BAD_REQUEST,
                    "The body of the request does not fit at " + place + ": it is missing, or no"
                            + " value that is allowed there.");
        }
        return problem(HttpStatus.BAD_REQUEST, "The body of the request is missing or can't be read as JSON.");
    }

    private static ResponseEntity<Object> problem(HttpStatus status, String detail) {
        return ResponseEntity.status(status).body(ProblemDetail.forStatusAndDetail(status, detail));
    }

    /** Somebody went away before the answer was there: nothing to say, and to nobody. */
    @Override
    protected @Nullable ResponseEntity<Object> handleHttpMessageNotWritable(
            HttpMessageNotWritableException gone, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        LOG.debug("an answer could not be written: {}", gone.toString());
        return null;
    }

    /** What cost too much to look at. */
    @ExceptionHandler
    ResponseEntity<ProblemDetail> spent(Budget.Spent spent) {
        return refused(Refused.invalid("This message can't be looked through: " + spent.getMessage() + ".", List.of()));
    }

    /** Also an error of the virtual machine, such as a stack that overflowed: the next request is another matter. */
    @ExceptionHandler
    ResponseEntity<ProblemDetail> unexpected(Throwable unexpected) {
        LOG.error("unexpected failure: {}", Border.failure(unexpected).trace());
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(
                HttpStatus.INTERNAL_SERVER_ERROR,
                "Something failed inside Jubek. Nothing was changed by this request; the log has the cause.");
        return ResponseEntity.internalServerError().body(problem);
    }
}
