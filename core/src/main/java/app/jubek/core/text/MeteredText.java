package app.jubek.core.text;

/** A text that asks a budget while it is read, now and then. */
final class MeteredText implements CharSequence {
    private final CharSequence text;
    private final Budget budget;
    private int reads;

    MeteredText(CharSequence text, Budget budget) {
        this.text = text;
        this.budget = budget;
    }

    @Override
    public char charAt(int at) {
        if (++reads % Budget.READS == 0) {
            budget.ask();
        }
        return text.charAt(at);
    }

    @Override
    public int length() {
        return text.length();
    }

    @Override
    public CharSequence subSequence(int from, int to) {
        return text.subSequence(from, to);
    }

    @Override
    public String toString() {
        return text.toString();
    }
}
