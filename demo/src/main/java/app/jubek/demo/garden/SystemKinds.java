package app.jubek.demo.garden;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/** Mail that machines, lists and firms send. */
final class SystemKinds {
    private static final List<String> PLANTS = List.of(
            "Meconopsis",
            "blue poppy",
            "Fritillaria",
            "snake's head",
            "Cyclamen coum",
            "winter aconite",
            "Gentiana",
            "sea holly",
            "Hepatica",
            "Trillium",
            "woodland anemone",
            "Primula florindae",
            "Arisaema",
            "toad lily");
    private static final List<String> HOUSES =
            List.of("Tropics", "Alpine house", "Fern house", "Palm house", "Propagation");
    private static final List<String> FAULTS = List.of("frost", "vent", "pump");
    private static final List<String> NURSERIES =
            List.of("hollow-hill-nursery.example", "norrplant.example", "pots-and-peatfree.example");

    /** One house got new sensors some days before the end, which write from an address of their own. */
    private static final String RENEWED_HOUSE = "Propagation";

    private static final Duration RENEWED = Duration.ofDays(16);

    private final Random random;
    private final Instant renewed;

    SystemKinds(Random random, Instant end) {
        this.random = random;
        this.renewed = end.minus(RENEWED);
    }

    Draft seedList(Instant at) {
        Person sender = Person.anyone(random);
        String plant = Person.pick(random, PLANTS);
        String subject = random.nextInt(3) > 0 ? "[seeds] " + plant + " wanted" : "[seeds] " + plant + " to share";
        String text = "Has anyone fresh seed of " + plant + " this year? I can offer " + Person.pick(random, PLANTS)
                + " in exchange, about " + (10 + random.nextInt(90)) + " seeds.\n\n" + sender.first();
        return Draft.plain("seed-list", sender, subject, text)
                .to("wishes@seedlist.example")
                .path("wishes-bounces@seedlist.example")
                .with(
                        "List-Id: Seed exchange <wishes.seedlist.example>",
                        "List-Post: <mailto:wishes@seedlist.example>",
                        "Precedence: list");
    }

    Draft ticketDesk(Instant at) {
        int visitors = 80 + random.nextInt(700);
        return Draft.plain(
                        "ticket-desk",
                        Person.at("Ticket desk", "notices@tickets.example"),
                        "Day total " + Kinds.shortDay(at) + ": " + visitors + " visitors",
                        "Visitors: " + visitors + "\nOf these children: " + visitors / 4 + "\nSeason cards: "
                                + visitors / 9)
                .with("Auto-Submitted: auto-generated");
    }

    Draft glasshouseAlarm(Instant at) {
        String house = Person.pick(random, HOUSES);
        String fault = Person.pick(random, FAULTS);
        String time = String.format("%02d:%02d", random.nextInt(24), random.nextInt(60));
        return Draft.plain(
                        "glasshouse-alarm",
                        Person.at(
                                "Glasshouse sensors",
                                isRenewed(house, at) ? "alarm@frost-watch.example" : "alarm@sensors.example"),
                        house + ": " + fault + " at " + time,
                        "House: " + house + "\nFault: " + fault + "\nTemperature: " + (random.nextInt(30) - 2) + " C\n")
                .with("Auto-Submitted: auto-generated");
    }

    private boolean isRenewed(String house, Instant at) {
        return house.equals(RENEWED_HOUSE) && !at.isBefore(renewed);
    }

    Draft tradeLetter(Instant at) {
        int number = 100 + random.nextInt(400);
        String html = "<html><head><style>p{margin:0}</style></head><body><h1>Gardens in brief</h1><p>Letter " + number
                + ": peat-free composts compared, opening talks, and a <b>price list</b> for labels.</p>"
                + "<p style=\"display:none\">hidden preview words</p><table><tr><td>Talks</td><td>"
                + Kinds.day(at, 20) + "</td></tr></table></body></html>";
        return Draft.plain(
                        "trade-letter",
                        Person.at("Gardens in brief", "letter@gardens-in-brief.example"),
                        "Gardens in brief, letter " + number,
                        html)
                .in(Draft.Form.HTML_ONLY)
                .with("List-Unsubscribe: <mailto:leave@gardens-in-brief.example>", "Precedence: bulk");
    }

    Draft parcel(Instant at) {
        int number = 100_000 + random.nextInt(900_000);
        return Draft.plain(
                "parcel",
                Person.at("Swift Parcels", "noreply@swift-parcels.example"),
                "Parcel " + number + " comes on " + Kinds.day(at, 1),
                "Your parcel " + number + " will be handed over between " + (8 + random.nextInt(4)) + ":00 and 16:00.");
    }

    Draft bounce(Instant at) {
        String gone = Person.anyone(random).address();
        return Draft.plain(
                        "bounce",
                        Person.at("Mail delivery", "mailer-daemon@post-office.example"),
                        "Undelivered mail returned to sender",
                        "Your message to " + gone + " could not be delivered: mailbox unknown.")
                .path("")
                .in(Draft.Form.REPORT);
    }

    Draft awayNotice(Instant at) {
        Person sender = Person.anyone(random);
        return Draft.plain(
                        "away-notice",
                        sender,
                        "Away until " + Kinds.day(at, 10),
                        "I am away and read my mail again on " + Kinds.day(at, 10) + ".")
                .path("")
                .with("Auto-Submitted: auto-replied");
    }

    Draft calendar(Instant at) {
        Person sender = Person.in(random, "ostrel-gardens.example");
        return Draft.plain("calendar", sender, "Invitation: rota meeting on " + Kinds.day(at, 3), "Rota meeting.")
                .in(Draft.Form.CALENDAR);
    }

    Draft nurseryInvoice(Instant at) {
        int number = 20_000 + random.nextInt(9_000);
        String domain = Person.pick(random, NURSERIES);
        byte[] pdf = ("%PDF-1.4 invoice " + number + "\n").getBytes(java.nio.charset.StandardCharsets.US_ASCII);
        Draft draft = Draft.plain(
                "nursery-invoice",
                Person.at("Accounts", "invoices@" + domain),
                "Invoice " + number + " for "
                        + Person.pick(random, List.of("peat-free compost", "terracotta pots", "hazel stakes")),
                "Please find our invoice " + number + " attached, payable by " + Kinds.day(at, 30) + ".");
        return new Draft(
                draft.kind(),
                draft.from(),
                draft.returnPath(),
                draft.to(),
                draft.subject(),
                draft.text(),
                draft.form(),
                draft.fields(),
                Optional.of(new Draft.Enclosure("invoice-" + number + ".pdf", "application/pdf", pdf)));
    }
}
