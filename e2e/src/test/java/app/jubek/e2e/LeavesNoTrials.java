package app.jubek.e2e;

import com.microsoft.playwright.Page;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;

/** Trials hold back the rules of whoever comes next, so each of these journeys puts all back as it was. */
abstract class LeavesNoTrials extends Journey {
    private static final String MAILBOX = """
            const session = await (await fetch('/api/session')).json();
            const at = '/api/mailboxes/' + session.mailboxes[0].id;
            """;

    private Object before = "";

    @BeforeEach
    void rulesAsTheyAre() {
        before = page.evaluate("async () => {" + MAILBOX
                + "return JSON.stringify((await (await fetch(at + '/rule-book')).json()).document); }");
    }

    @AfterEach
    void allAsItWas() {
        Page tab = anotherTab("/desk");
        tab.evaluate("async before => {" + MAILBOX + """
                const token = decodeURIComponent(/XSRF-TOKEN=([^;]+)/.exec(document.cookie)[1]);
                const send = async (method, path, body) => {
                  const answer = await fetch(at + path, {method, body,
                    headers: {'X-XSRF-TOKEN': token, 'Content-Type': 'application/json'}});
                  if (!answer.ok) throw new Error(path + ' ' + answer.status);
                };
                const trials = await (await fetch(at + '/trials')).json();
                for (const trial of [...trials.rules.flatMap(rule => rule.trials), ...trials.others]) {
                  await send('DELETE', '/trials/' + trial.id);
                }
                const now = await (await fetch(at + '/rule-book')).json();
                await send('PUT', '/rule-book', JSON.stringify(
                    {baseVersion: now.version, document: JSON.parse(before), despiteTrials: true}));
                }""", before);
        tab.close();
    }
}
