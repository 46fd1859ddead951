package app.jubek.server.account;

import app.jubek.server.platform.Refused;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.MethodParameter;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.mvc.method.RequestMappingInfo;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/** Hands a mailbox to those who may see it; to everybody else it is as if there were none. */
@Configuration
class AllowedMailboxes implements WebMvcConfigurer, HandlerMethodArgumentResolver {
    private final MailboxAccess access;

    AllowedMailboxes(MailboxAccess access) {
        this.access = access;
    }

    @Override
    public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
        resolvers.add(this);
    }

    @Override
    public boolean supportsParameter(MethodParameter parameter) {
        return parameter.hasParameterAnnotation(Allowed.class);
    }

    /**
     * @throws Refused as not found
     */
    @Override
    public UUID resolveArgument(
            MethodParameter parameter,
            ModelAndViewContainer container,
            NativeWebRequest request,
            WebDataBinderFactory binders) {
        UUID mailbox = id(request);
        Object who = SecurityContextHolder.getContext().getAuthentication().getPrincipal();
        if (!(who instanceof SignedIn person)) {
            throw Refused.notFound();
        }
        access.check(person, mailbox);
        return mailbox;
    }

    private static UUID id(NativeWebRequest request) {
        Map<?, ?> path = (Map<?, ?>)
                request.getAttribute(HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE, RequestAttributes.SCOPE_REQUEST);
        try {
            return UUID.fromString(String.valueOf(path.get("mailbox")));
        } catch (IllegalArgumentException noId) {
            throw Refused.notFound();
        }
    }

    /** No route of a mailbox starts without the check. */
    @Bean
    static SmartInitializingSingleton everyRouteIsChecked(ObjectProvider<RequestMappingHandlerMapping> mappings) {
        return () -> mappings.stream()
                .flatMap(mapping -> mapping.getHandlerMethods().entrySet().stream())
                .filter(route -> isOfMailbox(route.getKey()))
                .forEach(route -> check(route.getKey(), route.getValue()));
    }

    private static boolean isOfMailbox(RequestMappingInfo route) {
        return route.getPatternValues().stream()
                .anyMatch(pattern -> pattern.contains("{mailbox}") || pattern.startsWith("/api/mailboxes/"));
    }

    private static void check(RequestMappingInfo route, HandlerMethod handler) {
        for (MethodParameter parameter : handler.getMethodParameters()) {
            if (parameter.hasParameterAnnotation(Allowed.class)) {
                return;
            }
        }
        throw new IllegalStateException(route + " has no @Allowed mailbox, so anybody could use it");
    }
}
