package app.jubek.core.matching;

/**
 * The one comparison of text that people mean: NFKC_Casefold (Unicode Standard §3.13), every run of white space as one
 * space, accents kept.
 */
public final class Folding {
    private Folding() {}

    public static String fold(String source) {
        return Comparison.FOLDED.apply(source);
    }
}
