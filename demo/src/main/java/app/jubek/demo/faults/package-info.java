/**
 * What can go wrong with a mail server, on command: two relays stand before the real protocol engines and refuse, hang,
 * hide or break off. Entry point: {@link app.jubek.demo.faults.FaultBench}. Knows nothing of stored mail.
 */
@NullMarked
package app.jubek.demo.faults;

import org.jspecify.annotations.NullMarked;
