package app.jubek.server.account;

import app.jubek.server.http.Problems;
import app.jubek.server.http.WebServer;
import jakarta.servlet.DispatcherType;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.util.Optional;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.security.authorization.AuthorizationDecision;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.RequestCacheConfigurer;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.context.SecurityContextHolderFilter;
import org.springframework.security.web.firewall.RequestRejectedHandler;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.web.filter.OncePerRequestFilter;

/** Sessions, CSRF, and headers that keep the page to itself. */
@Configuration
class SecurityConfiguration {
    static final String SIGN_IN = "/api/sign-in";

    private static final String PAGE_POLICY =
            "default-src 'self'; img-src 'self' data:; style-src 'self' 'unsafe-inline';"
                    + " object-src 'none'; base-uri 'none'; frame-ancestors 'self'; form-action 'self'";

    private final SignIns signIns;
    private final KnownBrowser browsers;
    private final MetricsToken metrics;
    private final WebServer server;

    SecurityConfiguration(SignIns signIns, KnownBrowser browsers, MetricsToken metrics, WebServer server) {
        this.signIns = signIns;
        this.browsers = browsers;
        this.metrics = metrics;
        this.server = server;
    }

    @Bean
    SecurityFilterChain security(HttpSecurity http) throws Exception {
        return http.csrf(csrf -> csrf.spa())
                .authorizeHttpRequests(requests -> requests.dispatcherTypeMatchers(DispatcherType.ASYNC)
                        .permitAll() // the end of a stream whose beginning was allowed
                        .requestMatchers(
                                "/api/openapi",
                                "/api/openapi/**",
                                "/api/session",
                                "/api/agreement/**",
                                "/api/stand-in/**",
                                "/api/handed-on/**",
                                "/actuator/health/**",
                                "/livez",
                                "/readyz")
                        .permitAll()
                        .requestMatchers("/actuator/prometheus")
                        .access((who, at) -> new AuthorizationDecision(metrics.isIn(at.getRequest())))
                        .requestMatchers("/api/**", "/actuator/**")
                        .authenticated()
                        .anyRequest()
                        .permitAll())
                .formLogin(form -> form.loginProcessingUrl(SIGN_IN)
                        .authenticationDetailsSource(this::origin)
                        .successHandler(this::signedIn)
                        .failureHandler(SecurityConfiguration::refused))
                .logout(out -> out.logoutUrl("/api/sign-out")
                        .logoutSuccessHandler(
                                (request, response, who) -> response.setStatus(HttpStatus.NO_CONTENT.value())))
                .requestCache(RequestCacheConfigurer::disable)
                .exceptionHandling(e -> e.authenticationEntryPoint((request, response, why) -> Problems.write(
                                response,
                                HttpStatus.UNAUTHORIZED,
                                "Nobody is signed in, or no longer. Sign in and try again."))
                        .accessDeniedHandler((request, response, why) -> Problems.write(
                                response,
                                HttpStatus.FORBIDDEN,
                                "The request does not come from Jubek's own page, or the page is out of date. Reload it and"
                                        + " try again.")))
                .headers(headers -> headers.contentSecurityPolicy(policy -> policy.policyDirectives(PAGE_POLICY))
                        .referrerPolicy(policy -> policy.policy(ReferrerPolicy.NO_REFERRER))
                        .frameOptions(frame -> frame.sameOrigin()))
                .addFilterBefore(new Ways(), SecurityContextHolderFilter.class)
                .build();
    }

    @Bean
    static PasswordEncoder passwordEncoder() {
        return PasswordEncoderFactories.createDelegatingPasswordEncoder();
    }

    /** Of an address that no page of ours has. */
    @Bean
    static RequestRejectedHandler rejected() {
        return (request, response, why) ->
                Problems.write(response, HttpStatus.BAD_REQUEST, "The request's address can't be read.");
    }

    private SignInOrigin origin(HttpServletRequest request) {
        String name = Optional.ofNullable(request.getParameter("username")).orElse("");
        return SignInOrigin.of(request, browsers.mark(request, name));
    }

    private void signedIn(HttpServletRequest request, HttpServletResponse response, Authentication who) {
        signIns.begun(request.getSession(), origin(request));
        browsers.remember(request, response, who.getName());
        response.setStatus(HttpStatus.NO_CONTENT.value());
    }

    private static void refused(HttpServletRequest request, HttpServletResponse response, AuthenticationException why)
            throws IOException {
        if (why instanceof SignInThrottle.SignInPaused paused) {
            response.setHeader(HttpHeaders.RETRY_AFTER, Long.toString(paused.seconds()));
            Problems.write(response, HttpStatus.TOO_MANY_REQUESTS, Problems.paused(paused.seconds()));
        } else {
            Problems.write(response, HttpStatus.UNAUTHORIZED, "That name and password do not belong together.");
        }
    }

    /** Asked from this machine, without a word about anybody's mail; the path is decoded. */
    private static boolean isSignOfLife(String path) {
        return path.equals("/livez") || path.equals("/readyz") || path.startsWith("/actuator/");
    }

    /** Sessions end after a time however busy they are, and behind a proxy nothing comes in round its encryption. */
    private final class Ways extends OncePerRequestFilter {
        @Override
        protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
                throws ServletException, IOException {
            if (server.isBehindProxy() && !request.isSecure() && !isSignOfLife(request.getServletPath())) {
                Problems.write(
                        response,
                        HttpStatus.FORBIDDEN,
                        "This came in unencrypted. Use the address that begins with https.");
                return;
            }
            HttpSession session = request.getSession(false);
            if (session != null && signIns.isOver(session)) {
                session.invalidate();
            }
            chain.doFilter(request, response);
        }
    }
}
