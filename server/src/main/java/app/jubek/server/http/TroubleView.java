package app.jubek.server.http;

import app.jubek.core.plan.Advice;
import app.jubek.core.plan.Trouble;
import app.jubek.core.wording.Statement;
import java.util.Optional;

/** Why something does not work, and what to do. */
public record TroubleView(Statement cause, Optional<Statement> advice) {
    public static TroubleView of(Trouble trouble) {
        return new TroubleView(trouble.cause(), trouble.advice().map(Advice::with));
    }
}
