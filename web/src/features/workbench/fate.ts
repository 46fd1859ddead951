import type { Schemas } from '../../api/client';
import { shortDone } from '../../lib/steps';
import type { Happening } from '../../ui/glyphs';

type Fate = Schemas['Fate'];

/** The pictures of what would be done; what would be held has one of its own. */
export function happeningsOf(fate: Fate[]): Happening[] {
  const done = fate.filter((one) => one.notDone === undefined).map((one): Happening => one.kind);
  const held = fate.some((one) => one.notDone?.held === true);
  return [...new Set(held ? ['HELD' as const, ...done] : done)];
}

/** "redirected, marked read, filed in Seeds (Seed exchange list)"; the edited rule is not named. */
export function fateInWords({ fate, counters }: Pick<Schemas['EvidenceRow'], 'fate' | 'counters'>): string {
  const words = [
    ...(counters.includes('OUTSIDE_ITS_HOURS') ? ['outside its hours'] : []),
    ...fate.map((one) => (one.own ? said(one) : `${said(one)} (${one.rule})`)),
  ];
  return words.length === 0 ? 'stays in the inbox' : [...new Set(words)].join(', ');
}

function said({ kind, done, notDone }: Fate): string {
  if (notDone === undefined) {
    return shortDone(kind, done.words);
  }
  if (notDone.held) {
    return `held: ${notDone.reason.words}`;
  }
  return kind === 'REPLY' || kind === 'ANSWER_COPY'
    ? `no reply: ${notDone.reason.words}`
    : `not ${shortDone(kind, done.words)}: ${notDone.reason.words}`;
}
