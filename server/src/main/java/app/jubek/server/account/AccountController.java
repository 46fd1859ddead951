package app.jubek.server.account;

import app.jubek.server.http.Problems;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.util.List;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What somebody can do about the own account. */
@RestController
class AccountController {
    private final Accounts accounts;
    private final SignIns signIns;
    private final SignInThrottle throttle;
    private final KnownBrowser browsers;

    AccountController(Accounts accounts, SignIns signIns, SignInThrottle throttle, KnownBrowser browsers) {
        this.accounts = accounts;
        this.signIns = signIns;
        this.throttle = throttle;
        this.browsers = browsers;
    }

    record AccountView(String name, String signIn, List<SignIns.SignIn> signIns) {}

    record PasswordChange(String current, String next) {}

    @GetMapping("/api/account")
    AccountView account(@AuthenticationPrincipal SignedIn who, HttpSession session) {
        return new AccountView(who.shownName(), who.getUsername(), signIns.of(who, session));
    }

    /** Everywhere else one has to sign in with the new password. */
    @PostMapping("/api/account/password")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void changePassword(
            @AuthenticationPrincipal SignedIn who, @RequestBody PasswordChange change, HttpServletRequest request) {
        SignInOrigin from = SignInOrigin.of(request, browsers.mark(request, who.getUsername()));
        SignInThrottle.Attempt attempt = throttle.begin(who.getUsername(), from);
        accounts.changePassword(who.id(), change.current(), change.next());
        throttle.succeeded(attempt);
        signIns.endOthers(who, request.getSession());
    }

    @DeleteMapping("/api/account/sign-ins/{key}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void end(@AuthenticationPrincipal SignedIn who, @PathVariable String key) {
        signIns.end(who, key);
    }

    /** All but the one that asks. */
    @DeleteMapping("/api/account/sign-ins")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void endOthers(@AuthenticationPrincipal SignedIn who, HttpSession session) {
        signIns.endOthers(who, session);
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> paused(SignInThrottle.SignInPaused paused) {
        return ResponseEntity.status(HttpStatus.TOO_MANY_REQUESTS)
                .header(HttpHeaders.RETRY_AFTER, Long.toString(paused.seconds()))
                .body(ProblemDetail.forStatusAndDetail(
                        HttpStatus.TOO_MANY_REQUESTS, Problems.paused(paused.seconds())));
    }
}
