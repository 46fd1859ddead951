package app.jubek.server;

import org.springframework.data.jpa.repository.query.DeclaredQuery;
import org.springframework.data.jpa.repository.query.QueryEnhancerFactories;
import org.springframework.data.jpa.repository.query.QueryEnhancerFactory;
import org.springframework.data.jpa.repository.query.QueryEnhancerSelector;

/**
 * Leaves the queries of the repositories as they are written. Spring Data would parse each at the start, to be able to
 * sort, count and rewrite it, which no query here asks for; Hibernate parses and checks them at the start all the same.
 */
final class QueriesAsWritten implements QueryEnhancerSelector {
    @Override
    public QueryEnhancerFactory select(DeclaredQuery query) {
        return QueryEnhancerFactories.fallback();
    }
}
