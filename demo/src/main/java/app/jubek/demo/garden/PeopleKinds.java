package app.jubek.demo.garden;

import java.time.Instant;
import java.util.List;
import java.util.Random;

/** Mail that people write. */
final class PeopleKinds {
    static final List<String> SCHOOLS =
            List.of("norrskola.example", "birkhall-school.example", "lycee-des-tilleuls.example");
    private static final List<String> COACHES = List.of(
            "lindgren-coaches.example", "blue-line-tours.example", "alpenbus.example", "harbour-coaches.example");
    private static final List<String> THINGS = List.of(
            "green umbrella", "child's mitten", "pair of glasses", "blue rucksack", "silver earring", "sun hat");
    private static final List<String> TAIL_SUBJECTS = List.of(
            "A thank you from us",
            "Bench in memory of my aunt",
            "Bee hotel on the south wall",
            "Is the café open too?",
            "Question about the map",
            "A complaint about the car park",
            "Film crew next spring?",
            "Wheelchair at the gate",
            "Choir in the palm house",
            "Old postcards of the garden",
            "Dogs on the long walk",
            "Recipe from the herb day",
            "Gift cards by post",
            "Picture for our parish paper",
            "Study of mosses",
            "Night walk with bats",
            "A guided visit for our choir?",
            "Guided visits in winter");

    private final Random random;

    PeopleKinds(Random random) {
        this.random = random;
    }

    Draft photoPermit(Instant at) {
        Person sender = Person.anyone(random);
        String what = Person.pick(
                random,
                List.of("Wedding pictures", "Engagement pictures", "A fashion shoot", "Macro pictures of orchids"));
        String subject = random.nextInt(4) == 0
                ? "photo permit"
                : what + " on " + Kinds.day(at, 30 + random.nextInt(90)) + ": photo permit?";
        String text = "Hello,\n\ndo we need a permit for " + what.toLowerCase(java.util.Locale.ROOT) + "? We would be "
                + (2 + random.nextInt(9)) + " people.\n\nKind regards\n" + sender.name();
        return Draft.plain("photo-permit", sender, subject, text).to("photos@ostrel-gardens.example");
    }

    Draft schoolVisit(Instant at) {
        String domain = Person.pick(random, SCHOOLS);
        Person sender =
                random.nextInt(3) == 0 ? Person.at("School office", "office@" + domain) : Person.in(random, domain);
        int pupils = 14 + random.nextInt(20);
        String on = Kinds.day(at, 14 + random.nextInt(60));
        String subject = Person.pick(
                random,
                List.of(
                        "Guided visit for " + pupils + " pupils",
                        "Class booking for " + on,
                        "Class 4b: guided visit on " + on + "?",
                        "Führung im Tropenhaus am " + on,
                        "Two guided visits, may we swap the days?",
                        "Invoice for our guided visit on " + on,
                        "Price list for teachers, with guided visit fees",
                        "Term dates",
                        "Demande de visite — guided visit in English"));
        String text = "Dear visits desk,\n\nwe would like to come with " + pupils + " pupils on " + on
                + ". Please tell us "
                + Person.pick(random, List.of("what the guided visit costs", "what it costs", "when the café opens"))
                + " and where the coach may stop.\n\nWith thanks\n" + sender.name()
                + "\n-- \n" + domain;
        Draft draft = Draft.plain("school-visit", sender, subject, text);
        return random.nextInt(3) == 0 ? draft.in(Draft.Form.ALTERNATIVE) : draft;
    }

    Draft lostProperty(Instant at) {
        Person sender = Person.anyone(random);
        String thing = Person.pick(random, THINGS);
        return Draft.plain(
                "lost-property",
                sender,
                "Lost: a " + thing + " on " + Person.pick(random, List.of("Sunday", "Saturday", "Friday", "Tuesday")),
                "I believe I left a " + thing + " near the lily pond. Has it been handed in?\n\n" + sender.name());
    }

    Draft shiftSwap(Instant at) {
        Person sender = Person.in(random, "volunteers.ostrel-gardens.example");
        String day = Person.pick(random, List.of("Saturday", "Sunday", "Thursday"));
        String subject = Person.pick(
                random, List.of("Swap " + day + " morning?", "Can't make " + day, "Swap my " + day + " shift"));
        return Draft.plain(
                "shift-swap",
                sender,
                subject,
                "Could somebody take my " + day + " shift? I can do the one after.\n" + sender.first());
    }

    Draft coachArrival(Instant at) {
        String domain = Person.pick(random, COACHES);
        String time = String.format("%d:%02d", 9 + random.nextInt(6), random.nextInt(6) * 10);
        int guests = 18 + random.nextInt(40);
        String subject = random.nextInt(6) == 0
                ? "Cancelled: arrival " + time + ", " + guests + " guests"
                : "Arrival " + time + ", " + guests + " guests";
        return Draft.plain(
                "coach-arrival",
                Person.at("Planning", "planning@" + domain),
                subject,
                "Coach with " + guests + " guests, arrival " + time + " on " + Kinds.day(at, 4)
                        + ". Driver waits at the gate.");
    }

    Draft openingHours(Instant at) {
        Person sender = Person.anyone(random);
        String day =
                Person.pick(random, List.of("Easter Monday", "a bank holiday", Kinds.day(at, 9), "New Year's Day"));
        return Draft.plain(
                "opening-hours",
                sender,
                "Are you open on " + day + "?",
                "Are you open on " + day + ", and until when?\n" + sender.first());
    }

    Draft plantQuestion(Instant at) {
        Person sender = Person.anyone(random);
        byte[] picture = new byte[600 + random.nextInt(900)];
        random.nextBytes(picture);
        return Draft.plain(
                        "plant-question",
                        sender,
                        "What plant is this?",
                        "I took this by the east wall. What is it called?\n" + sender.name())
                .enclosing(new Draft.Enclosure("leaf-" + random.nextInt(999) + ".jpg", "image/jpeg", picture));
    }

    Draft conversation(Instant at) {
        Person sender = Person.anyone(random);
        String id = "<desk." + Math.abs(random.nextLong()) + "@ostrel-gardens.example>";
        String subject = "Re: " + Person.pick(random, TAIL_SUBJECTS);
        return Draft.plain(
                        "conversation",
                        sender,
                        subject,
                        "Thank you, that helps.\n\n" + sender.first()
                                + "\n\n> We are happy to help.\n> Ilse Varga, visits desk")
                .with("In-Reply-To: " + id, "References: " + id);
    }

    Draft tail(Instant at) {
        Person sender = Person.anyone(random);
        String subject =
                Person.pick(random, TAIL_SUBJECTS) + (random.nextBoolean() ? "" : " (" + random.nextInt(60) + ")");
        String text = "Good day,\n\n"
                + Person.pick(
                        random,
                        List.of(
                                "we were with you last week and wanted to say how much we liked the fern house.",
                                "could you tell me whom I may ask about this?",
                                "I could not find this on your pages.",
                                "may we come back to this when the snow is gone?"))
                + "\n\n" + sender.name();
        return Draft.plain("tail", sender, subject, text)
                .to(random.nextInt(5) == 0 ? "info@ostrel-gardens.example" : GardenMail.VISITS);
    }
}
