package app.jubek.core.trial;

import java.util.Optional;

/** Where messages come from that show a case. */
interface Finder {
    /** One that tells the rule from a mutant. */
    Optional<Case.Proposal> proposal(Mutant mutant);

    /** One that the rule picks, that no person wrote, and that it gives no reply to. */
    Optional<Case.Proposal> automatic();

    /** Looks for none. */
    static Finder none() {
        return new Finder() {
            @Override
            public Optional<Case.Proposal> proposal(Mutant mutant) {
                return Optional.empty();
            }

            @Override
            public Optional<Case.Proposal> automatic() {
                return Optional.empty();
            }
        };
    }
}
