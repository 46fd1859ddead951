package app.jubek.core.trial;

import app.jubek.core.rule.Rule;
import app.jubek.core.rule.RuleBook;
import app.jubek.core.rule.RuleId;
import app.jubek.core.template.Prepared;
import app.jubek.core.template.Template;
import app.jubek.core.template.TemplateId;

/** What rules and templates are called; one that is gone goes by its id. */
public record Names(RuleBook book, Prepared prepared) {
    String rule(String id) {
        return book.find(new RuleId(id)).map(Rule::name).orElse(id);
    }

    String template(String id) {
        return prepared.template(new TemplateId(id)).map(Template::name).orElse(id);
    }
}
