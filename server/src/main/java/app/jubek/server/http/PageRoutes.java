package app.jubek.server.http;

import io.swagger.v3.oas.annotations.Hidden;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** Addresses of the page's own places, which the page itself resolves. */
@Hidden
@Controller
class PageRoutes {
    @GetMapping({
        "/sign-in",
        "/desk",
        "/templates",
        "/timetable",
        "/setup",
        "/incoming/**",
        "/rules/**",
        "/records/**",
        "/trials/**",
        "/address-book",
        "/agree/**",
        "/stand-in/**",
        "/handed-on/**",
        "/outside/**"
    })
    String page() {
        return "forward:/index.html";
    }
}
