package app.jubek.demo.garden;

import java.text.Normalizer;
import java.util.List;
import java.util.Locale;
import java.util.Random;

/** An invented correspondent. */
record Person(String name, String address) {
    private static final List<String> FIRST = List.of(
            "Anna", "Jonas", "Mara", "Pelle", "Ingrid", "Teo", "Lucie", "Bram", "Sanna", "Milo", "Freya", "Otto",
            "Elif", "Kaspar", "Nadia", "Rune", "Petra", "Hugo", "Selma", "Ivo", "Greta", "Anton", "Zoë", "Malik");
    private static final List<String> LAST = List.of(
            "Sjövik",
            "Birkmark",
            "Perrolat",
            "Ekstam",
            "Thorvik",
            "Lindqvard",
            "Moreltin",
            "Vandeberg",
            "Oskarsen",
            "Halvard",
            "Tannström",
            "Reinholt",
            "Fjellman",
            "Castrell",
            "Nygardh",
            "Brohme",
            "Wistrand",
            "Ilvesky",
            "Dahlroth",
            "Köhnert",
            "Marlund",
            "Ostberg-Lahr",
            "Quennel",
            "Söderlin");
    private static final List<String> PROVIDERS =
            List.of("postbox.example", "mailhaven.example", "letterbox.example", "brevlada.example");

    static Person at(String name, String address) {
        return new Person(name, address);
    }

    static Person anyone(Random random) {
        return in(random, pick(random, PROVIDERS));
    }

    static Person in(Random random, String domain) {
        String first = pick(random, FIRST);
        String last = pick(random, LAST);
        return new Person(first + " " + last, plain(first) + "." + plain(last) + "@" + domain);
    }

    String written() {
        return name + "\t" + address;
    }

    String first() {
        return name.split(" ")[0];
    }

    static <T> T pick(Random random, List<T> from) {
        return from.get(random.nextInt(from.size()));
    }

    private static String plain(String name) {
        return Normalizer.normalize(name, Normalizer.Form.NFD)
                .replaceAll("\\p{M}", "")
                .toLowerCase(Locale.ROOT);
    }
}
