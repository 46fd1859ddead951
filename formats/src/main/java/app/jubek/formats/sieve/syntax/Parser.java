package app.jubek.formats.sieve.syntax;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Puts tokens together (RFC 5228 §8.2). */
public final class Parser {
    private static final int DEEPEST = 64;
    private static final Set<String> WITH_TEST = Set.of("if", "elsif");

    private final List<Lexer.Token> tokens;
    private int at;
    private int depth;

    private Parser(List<Lexer.Token> tokens) {
        this.tokens = tokens;
    }

    public static Script parse(String script) {
        Parser parser = new Parser(Lexer.tokens(script));
        List<Script.Command> commands = new ArrayList<>();
        while (parser.peek().kind() != Lexer.Kind.END) {
            commands.add(parser.command());
        }
        return new Script(List.copyOf(commands));
    }

    private Lexer.Token peek() {
        return tokens.get(at);
    }

    private Lexer.Token take() {
        return tokens.get(at++);
    }

    private SieveSyntaxException unexpected(String wanted) {
        Lexer.Token token = peek();
        String found = token.kind() == Lexer.Kind.END ? "the end" : "\"" + token.text() + "\"";
        return new SieveSyntaxException(token.place(), wanted + " is wanted here, not " + found);
    }

    private void expect(String sign) {
        if (!peek().is(sign)) {
            throw unexpected("\"" + sign + "\"");
        }
        at++;
    }

    private Lexer.Token name(String what) {
        if (peek().kind() != Lexer.Kind.IDENTIFIER) {
            throw unexpected(what);
        }
        return take();
    }

    private void deeper() {
        if (++depth > DEEPEST) {
            throw new SieveSyntaxException(peek().place(), "nested deeper than " + DEEPEST + " levels");
        }
    }

    private Script.Command command() {
        Lexer.Token name = name("a command");
        List<Script.Argument> arguments = arguments();
        Optional<Script.Test> test = WITH_TEST.contains(name.text()) ? Optional.of(test()) : Optional.empty();
        List<Script.Command> block = List.of();
        if (peek().is("{")) {
            block = block();
        } else {
            expect(";");
        }
        return new Script.Command(name.text(), arguments, test, block, name.comment(), name.place());
    }

    private List<Script.Command> block() {
        deeper();
        expect("{");
        List<Script.Command> commands = new ArrayList<>();
        while (!peek().is("}")) {
            commands.add(command());
        }
        at++;
        depth--;
        return List.copyOf(commands);
    }

    private Script.Test test() {
        deeper();
        Lexer.Token name = name("a test");
        List<Script.Argument> arguments = arguments();
        List<Script.Test> tests = new ArrayList<>();
        if (peek().is("(")) {
            do {
                at++;
                tests.add(test());
            } while (peek().is(","));
            expect(")");
        } else if (peek().kind() == Lexer.Kind.IDENTIFIER) {
            tests.add(test());
        }
        depth--;
        return new Script.Test(name.text(), arguments, List.copyOf(tests), name.place());
    }

    private List<Script.Argument> arguments() {
        List<Script.Argument> arguments = new ArrayList<>();
        while (true) {
            Lexer.Token token = peek();
            switch (token.kind()) {
                case TAG -> arguments.add(new Script.Tag(take().text(), token.place()));
                case NUMBER -> arguments.add(new Script.Number(Long.parseLong(take().text()), token.place()));
                case STRING -> arguments.add(new Script.Strings(List.of(take().text()), true, token.place()));
                default -> {
                    if (!token.is("[")) {
                        return List.copyOf(arguments);
                    }
                    arguments.add(strings());
                }
            }
        }
    }

    private Script.Strings strings() {
        Place place = take().place();
        List<String> values = new ArrayList<>();
        if (peek().is("]")) {
            throw unexpected("a string");
        }
        while (true) {
            if (peek().kind() != Lexer.Kind.STRING) {
                throw unexpected("a string");
            }
            values.add(take().text());
            if (peek().is("]")) {
                at++;
                return new Script.Strings(List.copyOf(values), false, place);
            }
            expect(",");
        }
    }
}
