import type { Schemas } from '../../api/client';
import { Problem } from '../../api/problem';
import type { Span } from '../../lib/marks';

export type Trial = Schemas['TrialLine'];
export type Case = Schemas['CaseView'];
export type RuleTrials = Schemas['RuleTrials'];

/** How a message that somebody writes is sent. */
export const SENT_BY: {
  value: NonNullable<Schemas['SampleMessage']['sentBy']> | 'A_PERSON';
  text: string;
}[] = [
  { value: 'A_PERSON', text: 'by a person' },
  { value: 'AUTOMATICALLY', text: 'automatically' },
  { value: 'A_LIST', text: 'through a mailing list' },
  { value: 'MASS_MAIL', text: 'as mass mail' },
];

export type Square = 'holds' | 'differs' | 'missing';

/** What the trials of a rule show, one sign for each case. */
export function squaresOf({ cases, trials }: RuleTrials): Square[] {
  const differing = new Set(trials.filter((trial) => !trial.holds).map((trial) => trial.id));
  return cases.map((one) =>
    one.shownBy === undefined ? 'missing' : differing.has(one.shownBy) ? 'differs' : 'holds',
  );
}

/** Those with trials that differ first, else in their order. */
export function mostUrgentFirst(rules: RuleTrials[]): RuleTrials[] {
  const differs = (of: RuleTrials) => of.trials.some((trial) => !trial.holds);
  return [...rules.filter(differs), ...rules.filter((of) => !differs(of))];
}

export function coverageInWords(of: RuleTrials): string {
  const shown = of.cases.filter((one) => one.shownBy !== undefined).length;
  if (of.cases.length === 0) {
    return 'no cases';
  }
  return shown === of.cases.length ? `all ${shown} cases` : `${shown} of ${of.cases.length} cases`;
}

/** The cases that a message is proposed for. */
export function proposed(cases: Case[]): Case[] {
  return cases.filter((one) => one.proposal !== undefined);
}

/** How many messages are proposed: one may show several cases. */
export function messagesProposed(cases: Case[]): number {
  return new Set(
    proposed(cases).map((one) => {
      const { madeUp, from, subject, at } = one.proposal!;
      return JSON.stringify([madeUp, from, subject, at]);
    }),
  ).size;
}

/** "picked", "not picked", or that it is not as it must be. */
export function standing(trial: Trial): { word: string; differs: boolean } {
  return trial.holds
    ? { word: trial.mustBePicked ? 'picked' : 'not picked', differs: false }
    : { word: 'differs', differs: true };
}

/** What a row says beside the subject. */
export function inShort(trial: Trial): string {
  if (!trial.holds) {
    const unmet = trial.expected.filter((one) => !one.met).map((one) => one.statement.words);
    return unmet.length > 0 ? `should be ${unmet.join(', ')}` : 'its message can’t be judged';
  }
  const does = trial.expected.filter((one) => one.fate !== 'PICKED_BY').map((one) => one.statement.words);
  return does.length > 0 ? does.join(', ') : (trial.because[0]?.words ?? '');
}

/** The trials that hold a change of the rules back. */
export function trialsAgainst(failed: unknown): { id: string; name: string }[] {
  const trials = failed instanceof Problem ? failed.more['trials'] : undefined;
  return Array.isArray(trials) ? (trials as { id: string; name: string }[]) : [];
}

/** Where words stand in a text, whatever their case. */
export function marksOf(text: string, words: string[]): Span[] {
  const seen = text.toLowerCase();
  const all = words
    .map((word) => word.toLowerCase())
    .filter((word) => word !== '')
    .flatMap((word) => places(seen, word))
    .sort((one, other) => one.start - other.start || other.end - one.end);
  const apart: Span[] = [];
  for (const span of all) {
    if (span.start >= (apart[apart.length - 1]?.end ?? 0)) {
      apart.push(span);
    }
  }
  return apart;
}

function places(text: string, word: string): Span[] {
  const all: Span[] = [];
  for (let at = text.indexOf(word); at >= 0; at = text.indexOf(word, at + word.length)) {
    all.push({ start: at, end: at + word.length });
  }
  return all;
}
