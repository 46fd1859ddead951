package app.jubek.server;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import org.hibernate.resource.jdbc.spi.StatementInspector;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** Notes what Hibernate asks of the database in each transaction. */
public class StatementRecord implements StatementInspector {
    private static final long serialVersionUID = 1L;
    private static final Queue<List<String>> TRANSACTIONS = new ConcurrentLinkedQueue<>();
    private static final ThreadLocal<Optional<List<String>>> CURRENT = ThreadLocal.withInitial(Optional::empty);

    static void clear() {
        TRANSACTIONS.clear();
    }

    /** The transaction with most statements that sent a statement with such a start, and none with the other one. */
    static List<String> with(String start, String without) {
        return TRANSACTIONS.stream()
                .filter(statements -> has(statements, start) && !has(statements, without))
                .max(Comparator.comparing(List::size))
                .orElse(List.of());
    }

    private static boolean has(List<String> statements, String start) {
        return statements.stream().anyMatch(sql -> sql.startsWith(start));
    }

    @Override
    public String inspect(String sql) {
        if (TransactionSynchronizationManager.isSynchronizationActive()) {
            if (CURRENT.get().isEmpty()) {
                begin();
            }
            CURRENT.get().orElseThrow().add(sql);
        }
        return sql;
    }

    private static void begin() {
        List<String> statements = new ArrayList<>();
        CURRENT.set(Optional.of(statements));
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCompletion(int status) {
                CURRENT.remove();
                TRANSACTIONS.add(statements);
            }
        });
    }
}
