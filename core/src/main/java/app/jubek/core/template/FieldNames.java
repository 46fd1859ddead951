package app.jubek.core.template;

import com.samskivert.mustache.Mustache;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.Set;
import java.util.stream.Collectors;

/** Collects the fields of a text; refuses what is none. */
final class FieldNames implements Mustache.Visitor {
    private final String where;
    private final Set<Field> found = new LinkedHashSet<>();

    FieldNames(String where) {
        this.where = where;
    }

    Set<Field> found() {
        return found;
    }

    @Override
    public void visitText(String text) {
        if (text.contains("{{") || text.contains("}}")) {
            throw new IllegalArgumentException("the braces around a field don't close in the " + where);
        }
    }

    @Override
    public void visitVariable(String name) {
        found.add(Field.of(name)
                .orElseThrow(() -> new IllegalArgumentException("there is no field {{" + name + "}}, used in the "
                        + where + "; the fields are "
                        + Arrays.stream(Field.values()).map(Field::key).collect(Collectors.joining(", ")))));
    }

    @Override
    public boolean visitInclude(String name) {
        throw onlyFields("{{>" + name + "}}");
    }

    @Override
    public boolean visitSection(String name) {
        throw onlyFields("{{#" + name + "}}");
    }

    @Override
    public boolean visitInvertedSection(String name) {
        throw onlyFields("{{^" + name + "}}");
    }

    private IllegalArgumentException onlyFields(String used) {
        return new IllegalArgumentException(
                "a template has fields only, and no " + used + " as in its " + where + "; give the field a fallback");
    }
}
