/**
 * Past mail beside the rule in hand. Entry point: {@link app.jubek.server.evidence.EvidenceController}.
 */
@NullMarked
package app.jubek.server.evidence;

import org.jspecify.annotations.NullMarked;
