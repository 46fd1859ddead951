package app.jubek.core.template;

import com.google.re2j.Pattern;
import com.samskivert.mustache.Mustache;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.Set;
import java.util.stream.Collectors;

/** Collects the fields of texts; refuses what is none. */
final class FieldNames {
    private static final Pattern CAPTURED = Pattern.compile("captured\\.[A-Za-z][A-Za-z0-9_]*");

    private final Set<Field> fields = new LinkedHashSet<>();
    private final Set<String> captured = new LinkedHashSet<>();

    Set<Field> fields() {
        return fields;
    }

    Set<String> captured() {
        return captured;
    }

    /** To look at one of the texts. */
    Mustache.Visitor in(String where) {
        return new Collecting(where);
    }

    private final class Collecting implements Mustache.Visitor {
        private final String where;

        Collecting(String where) {
            this.where = where;
        }

        @Override
        public void visitText(String text) {
            if (text.contains("{{") || text.contains("}}")) {
                throw new IllegalArgumentException("the braces around a field don't close in the " + where);
            }
        }

        @Override
        public void visitVariable(String name) {
            if (CAPTURED.matches(name)) {
                captured.add(name.substring(Template.CAPTURED.length()));
                return;
            }
            fields.add(Field.of(name)
                    .orElseThrow(() -> new IllegalArgumentException("there is no field {{" + name
                            + "}}, used in the " + where + "; the fields are "
                            + Arrays.stream(Field.values()).map(Field::key).collect(Collectors.joining(", "))
                            + ", and captured.NAME of a pattern")));
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
            return new IllegalArgumentException("a template has fields only, and no " + used + " as in its " + where
                    + "; give the field a fallback");
        }
    }
}
