package app.jubek.core.reading;

import app.jubek.core.text.WhiteSpace;

/** Goes from one parameter of a field to the next, in one pass. Comments have been taken out before. */
final class ParameterScan {
    private final String field;
    private int at;
    private String name = "";
    private String value = "";

    ParameterScan(String field) {
        this.field = field;
        this.at = behindSemicolon(0);
    }

    String name() {
        return name;
    }

    String value() {
        return value;
    }

    /** Returns whether there is another one; what has no "=" is passed over. */
    boolean next() {
        while (at < field.length()) {
            int begin = behindSpace(at);
            int end = begin;
            while (end < field.length() && field.charAt(end) != '=' && field.charAt(end) != ';') {
                end++;
            }
            if (end < field.length() && field.charAt(end) == '=') {
                name = field.substring(begin, end).strip();
                read(behindSpace(end + 1));
                return true;
            }
            at = Math.min(end + 1, field.length());
        }
        return false;
    }

    private void read(int from) {
        if (from < field.length() && field.charAt(from) == '"') {
            readQuoted(from + 1);
            return;
        }
        int end = from;
        while (end < field.length() && field.charAt(end) != ';') {
            end++;
        }
        value = field.substring(from, end).strip();
        at = Math.min(end + 1, field.length());
    }

    private void readQuoted(int from) {
        StringBuilder unquoted = new StringBuilder();
        int end = from;
        while (end < field.length() && field.charAt(end) != '"') {
            boolean escapes = field.charAt(end) == '\\' && end + 1 < field.length();
            end += escapes ? 1 : 0;
            unquoted.append(field.charAt(end));
            end++;
        }
        value = unquoted.toString();
        at = behindSemicolon(end);
    }

    private int behindSemicolon(int from) {
        int semicolon = field.indexOf(';', from);
        return semicolon < 0 ? field.length() : semicolon + 1;
    }

    private int behindSpace(int from) {
        int end = from;
        while (end < field.length() && WhiteSpace.is(field.charAt(end))) {
            end++;
        }
        return end;
    }
}
