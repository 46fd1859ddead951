package app.jubek.core.criteria;

/** One value of a test as it is looked for; equal probes hit the same messages. */
public sealed interface Probe
        permits AddressTest.AddressProbe,
                TextTest.ValueProbe,
                PresentTest.PresentProbe,
                NumberTest.NumberProbe,
                OrderTest.OrderProbe,
                TraitTest.TraitProbe {
    boolean hits(Searchable message);
}
