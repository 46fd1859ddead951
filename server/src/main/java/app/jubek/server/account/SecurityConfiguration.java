package app.jubek.server.account;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Optional;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.authorization.AuthorizationDecision;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.HttpStatusEntryPoint;
import org.springframework.security.web.authentication.UsernamePasswordAuthenticationFilter;
import org.springframework.web.filter.OncePerRequestFilter;

/** Sessions, CSRF, and headers that keep the page to itself. */
@Configuration
class SecurityConfiguration {
    static final String SIGN_IN = "/api/sign-in";

    private static final String PAGE_POLICY =
            "default-src 'self'; img-src 'self' data:; style-src 'self' 'unsafe-inline';"
                    + " object-src 'none'; base-uri 'none'; frame-ancestors 'self'; form-action 'self'";

    private final SignInThrottle throttle;
    private final MetricsToken metrics;

    SecurityConfiguration(SignInThrottle throttle, MetricsToken metrics) {
        this.throttle = throttle;
        this.metrics = metrics;
    }

    @Bean
    SecurityFilterChain security(HttpSecurity http) throws Exception {
        return http.csrf(csrf -> csrf.spa())
                .authorizeHttpRequests(requests -> requests.requestMatchers(
                                "/api/openapi",
                                "/api/openapi/**",
                                "/api/session",
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
                        .successHandler((request, response, who) -> {
                            throttle.succeeded(who.getName());
                            response.setStatus(HttpStatus.NO_CONTENT.value());
                        })
                        .failureHandler((request, response, why) -> {
                            throttle.failed(name(request));
                            problem(
                                    response,
                                    HttpStatus.UNAUTHORIZED,
                                    "That name and password do not belong together.");
                        }))
                .logout(out -> out.logoutUrl("/api/sign-out")
                        .logoutSuccessHandler(
                                (request, response, who) -> response.setStatus(HttpStatus.NO_CONTENT.value())))
                .exceptionHandling(e -> e.authenticationEntryPoint(new HttpStatusEntryPoint(HttpStatus.UNAUTHORIZED)))
                .headers(headers -> headers.contentSecurityPolicy(policy -> policy.policyDirectives(PAGE_POLICY))
                        .frameOptions(frame -> frame.sameOrigin()))
                .addFilterBefore(new ThrottleFilter(), UsernamePasswordAuthenticationFilter.class)
                .build();
    }

    @Bean
    PasswordEncoder passwordEncoder() {
        return PasswordEncoderFactories.createDelegatingPasswordEncoder();
    }

    private static String name(HttpServletRequest request) {
        return Optional.ofNullable(request.getParameter("username")).orElse("");
    }

    private static void problem(HttpServletResponse response, HttpStatus status, String detail) throws IOException {
        response.setStatus(status.value());
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.setCharacterEncoding("UTF-8");
        response.getWriter().write("{\"status\":" + status.value() + ",\"detail\":\"" + detail + "\"}");
    }

    private final class ThrottleFilter extends OncePerRequestFilter {
        @Override
        protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
                throws ServletException, IOException {
            boolean signingIn = request.getMethod().equals(HttpMethod.POST.name())
                    && request.getRequestURI().equals(SIGN_IN);
            if (signingIn && throttle.mustWait(name(request))) {
                problem(
                        response,
                        HttpStatus.TOO_MANY_REQUESTS,
                        "Too many wrong passwords. Wait ten minutes and try again.");
                return;
            }
            chain.doFilter(request, response);
        }
    }
}
