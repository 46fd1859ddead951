package app.jubek.server.account;

import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.enums.ParameterIn;
import java.lang.annotation.Documented;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * The mailbox of a route below {@code /api/mailboxes/{mailbox}}, by its id: one that the person who is signed in may see.
 * Every such route has one; the server does not start otherwise.
 */
@Documented
@Target(ElementType.PARAMETER)
@Retention(RetentionPolicy.RUNTIME)
@Parameter(name = "mailbox", in = ParameterIn.PATH, required = true)
public @interface Allowed {}
