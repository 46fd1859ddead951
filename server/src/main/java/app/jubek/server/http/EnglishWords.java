package app.jubek.server.http;

import app.jubek.core.wording.Statement;
import app.jubek.core.wording.Wording;
import app.jubek.server.platform.Words;
import org.springframework.stereotype.Component;

@Component
class EnglishWords implements Words {
    @Override
    public String of(Statement statement) {
        return Wording.english().of(statement);
    }
}
