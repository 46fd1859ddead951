import type { Schemas } from '../../api/client';
import { dayOfYear } from '../../lib/dates';
import { counted } from '../../lib/numbers';

const DAY = 86_400_000;

type Kind = Schemas['DoneCount']['kind'];

/** What only undoes something is not counted. */
const DONE: Record<Exclude<Kind, 'BRING_BACK' | 'UNDO'>, string> & { BRING_BACK?: never; UNDO?: never } = {
  FORWARD: 'forwarded',
  REDIRECT: 'redirected',
  REPLY: 'replied to',
  ANSWER_COPY: 'copied on a reply',
  NOTIFY: 'shown as a notice',
  OUT_OF_JUNK: 'moved out of junk',
  MARK: 'marked',
  COPY: 'copied',
  FILE: 'filed',
  FILE_ELSEWHERE: 'filed in another mailbox',
  ARCHIVE: 'archived',
  TRASH: 'moved to the trash',
  DELETE: 'deleted for good',
  FOLLOW_UP: 'brought back, as nobody dealt with them',
};

/** "31 redirected", the most frequent first. */
export function doneLines(done: Schemas['DoneCount'][]): { kind: Kind; words: string }[] {
  return [...done]
    .sort((a, b) => b.messages - a.messages)
    .flatMap(({ kind, messages }) => {
      const word = DONE[kind];
      return word ? [{ kind, words: `${messages.toLocaleString('en-GB')} ${word}` }] : [];
    });
}

export function inDays(days: number): string {
  return days === 0 ? 'today' : days === 1 ? 'tomorrow' : `in ${counted(days, 'day')}`;
}

/** The records of each rule together, in the order in which they come. */
export function byRule(records: Schemas['RecordView'][]): Schemas['RecordView'][][] {
  const rules = new Map<string, Schemas['RecordView'][]>();
  records.forEach((record) => rules.set(record.step.rule, [...(rules.get(record.step.rule) ?? []), record]));
  return [...rules.values()];
}

/** Templates whose day to be looked at again has come. */
export function lookAgain(templates: Schemas['TemplateView'][], today: string): Schemas['TemplateView'][] {
  return templates.filter(({ written: { lookAgainOn } }) => lookAgainOn && daysTo(lookAgainOn, today) <= 0);
}

/** Documents whose day to be looked at again has come. */
export function documentsDue(documents: Schemas['DocumentView'][], today: string): Schemas['DocumentView'][] {
  return documents.filter(({ lookAgainOn }) => lookAgainOn && daysTo(lookAgainOn, today) <= 0);
}

/** When a message was to be looked at, as people say it. */
export function byWhen(day: string, today: string): string {
  const days = daysTo(day, today);
  return days > 1
    ? `within ${days} days`
    : days === 1
      ? 'by tomorrow'
      : days === 0
        ? 'today'
        : `since ${dayOfYear(day, today)}`;
}

export function daysTo(day: string, today: string): number {
  return Math.round((Date.parse(day) - Date.parse(today)) / DAY);
}
