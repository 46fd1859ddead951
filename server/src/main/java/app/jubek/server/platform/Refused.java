package app.jubek.server.platform;

import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;

/** A request that can't be carried out, with what a person can do about it. */
public class Refused extends RuntimeException {
    private final HttpStatus status;
    private final transient List<Place> places;
    private final transient Map<String, Object> more;

    /** Something wrong at one place of the request, as a JSON Pointer. */
    public record Place(String path, String message) {}

    private Refused(HttpStatus status, String detail, List<Place> places, Map<String, Object> more) {
        super(detail);
        this.status = status;
        this.places = List.copyOf(places);
        this.more = Map.copyOf(more);
    }

    public static Refused notFound() {
        return new Refused(HttpStatus.NOT_FOUND, "There is nothing here that you may see.", List.of(), Map.of());
    }

    public static Refused invalid(String detail, List<Place> places) {
        return new Refused(HttpStatus.UNPROCESSABLE_CONTENT, detail, places, Map.of());
    }

    /**
     * @param more what a page needs to go on from there
     */
    public static Refused invalid(String detail, List<Place> places, Map<String, Object> more) {
        return new Refused(HttpStatus.UNPROCESSABLE_CONTENT, detail, places, more);
    }

    public static Refused conflict(String detail, Map<String, Object> more) {
        return new Refused(HttpStatus.CONFLICT, detail, List.of(), more);
    }

    public static Refused unavailable(String detail) {
        return new Refused(HttpStatus.SERVICE_UNAVAILABLE, detail, List.of(), Map.of());
    }

    public HttpStatus status() {
        return status;
    }

    public List<Place> places() {
        return places;
    }

    public Map<String, Object> more() {
        return more;
    }
}
