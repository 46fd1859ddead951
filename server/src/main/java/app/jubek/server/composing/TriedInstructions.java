package app.jubek.server.composing;

import app.jubek.core.rule.Rule;
import app.jubek.core.step.Release;
import app.jubek.core.step.Step;
import app.jubek.core.template.TemplateId;
import app.jubek.core.wording.Statement;
import app.jubek.server.platform.Refused;
import app.jubek.server.platform.Sha256;
import app.jubek.server.rulebook.BeforeSaving;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** A rule that has replies composed is on only once its maker has seen what comes of the instruction. */
@Component
class TriedInstructions implements BeforeSaving {
    private final TriedInstructionRepository tried;
    private final ComposingService service;

    TriedInstructions(TriedInstructionRepository tried, ComposingService service) {
        this.tried = tried;
        this.service = service;
    }

    void keep(UUID mailbox, Step.Reply reply) {
        tried.keep(mailbox, fingerprint(reply));
    }

    private boolean isTried(UUID mailbox, Step.Reply reply) {
        return tried.existsById(new TriedInstructionEntity.Key(mailbox, fingerprint(reply)));
    }

    @Override
    public List<Statement> check(Saving saving) {
        Set<String> known = saving.before().rules().stream()
                .filter(Rule::on)
                .flatMap(TriedInstructions::composed)
                .map(TriedInstructions::fingerprint)
                .collect(Collectors.toSet());
        saving.wanted().rules().stream()
                .filter(Rule::on)
                .forEach(rule -> composed(rule)
                        .filter(reply -> !known.contains(fingerprint(reply)))
                        .forEach(reply -> check(saving.mailbox(), rule, reply)));
        return List.of();
    }

    private void check(UUID mailbox, Rule rule, Step.Reply reply) {
        if (!service.isSetUp()) {
            throw refused(rule, "no composing service is set up. Let the reply go out another way.");
        }
        if (!isTried(mailbox, reply)) {
            throw refused(
                    rule,
                    "its instruction was not tried yet. Try it on past messages first, under Does, in the reply.");
        }
    }

    private static Refused refused(Rule rule, String why) {
        return Refused.invalid(
                "“" + rule.name() + "” can't be on like this: " + why,
                List.of(),
                Map.of("untried", rule.id().value()));
    }

    private static Stream<Step.Reply> composed(Rule rule) {
        return rule.steps().stream()
                .filter(step -> step.release() instanceof Release.Composed)
                .map(Step.Reply.class::cast);
    }

    private static String fingerprint(Step.Reply reply) {
        String instruction = ((Release.Composed) reply.release()).instruction();
        String template = reply.template().map(TemplateId::value).orElse("");
        return Sha256.hex(String.join("\u0000", instruction, template, reply.subject(), reply.text()), Sha256.BYTES);
    }
}
