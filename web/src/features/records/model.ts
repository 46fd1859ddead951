import type { Schemas } from '../../api/client';
import { dayAndTime } from '../../lib/dates';
import { doneInWords, stateInWords } from '../incoming';

type Step = Schemas['StepView'];

/** What one rule did with one message. */
export interface Group {
  message: Schemas['MessageLine'];
  rule: string;
  name: string;
  version: number;
  at: string;
  steps: Step[];
}

/** Whether a message was sent to test rules. */
export function isTest(message: Schemas['MessageLine']): boolean {
  return message.status === 'REAL_TEST';
}

export function fromWhom(message: Schemas['MessageLine']): string {
  return isTest(message) ? `real test, from ${message.sender}` : message.sender;
}

const NEEDS_PERSON: Step['state'][] = ['HELD', 'FAILED', 'UNCERTAIN'];

export function needsPerson(step: Step): boolean {
  return NEEDS_PERSON.includes(step.state);
}

/** How a step stands; of one that goes out later, until when it waits. */
export function standingInWords(step: Step): string {
  if (step.kind === 'FOLLOW_UP' && step.state === 'DISCARDED') {
    return 'not needed';
  }
  if (step.releaseAt === undefined) {
    return stateInWords(step.state);
  }
  return `${step.kind === 'FOLLOW_UP' ? 'comes back' : 'goes out'} ${dayAndTime(step.releaseAt)}`;
}

/** Who approved it, and whether in their own words; or who wanted it undone. */
export function letGoInWords(step: Step): string {
  if (step.kind === 'UNDO') {
    return `by ${step.releasedBy ?? ''}`;
  }
  return `${step.edited ? 'edited and approved' : 'approved'} by ${step.releasedBy ?? ''}`;
}

/** Steps of one message and one rule together, where the newest of them stood; within a group the earliest first. */
export function grouped(records: Schemas['RecordView'][]): Group[] {
  const groups = new Map<string, Group>();
  for (const { step, message } of records) {
    const key = `${message.id} ${step.rule} ${step.ruleVersion}`;
    const group = groups.get(key);
    if (group) {
      group.steps.unshift(step);
    } else {
      groups.set(key, {
        message,
        rule: step.rule,
        name: step.ruleName,
        version: step.ruleVersion,
        at: step.plannedAt,
        steps: [step],
      });
    }
  }
  return [...groups.values()];
}

type Row = { group: Group; change?: undefined } | { change: Schemas['SavedChange']; group?: undefined };

/** Groups of records with changes of rules and templates where they were made. */
export function inTime(records: Schemas['RecordView'][], changes: Schemas['SavedChange'][]): Row[] {
  const left = [...changes];
  const rows: Row[] = [];
  const made = (after: string) => {
    while (left[0] && Date.parse(left[0].at) > Date.parse(after)) {
      rows.push({ change: left[0] });
      left.shift();
    }
  };
  grouped(records).forEach((group) => {
    made(group.at);
    rows.push({ group });
  });
  return [...rows, ...left.map((change) => ({ change }))];
}

export interface Line {
  words: string;
  state: string;
  needsPerson: boolean;
  /** Why it is so, as far as anything is said. */
  because: string[];
}

/** The steps of a group in one line: those that stand alike together, what needs a person first. */
export function inOneLine(steps: Step[]): Line[] {
  const alike = new Map<string, Step[]>();
  steps.forEach((step) => {
    const standing = standingInWords(step);
    alike.set(standing, [...(alike.get(standing) ?? []), step]);
  });
  return [...alike]
    .sort(([, one], [, other]) => Number(needs(other)) - Number(needs(one)))
    .map(([standing, of]) => ({
      words: of.map(doneInWords).join(', '),
      state: standing,
      needsPerson: needs(of),
      because: [
        ...new Set(
          of.flatMap((step) => [
            ...(step.because ? [step.because.words] : []),
            ...(step.releasedBy ? [letGoInWords(step)] : []),
          ]),
        ),
      ],
    }));
}

/** Whether the sender got no answer while the message left the inbox, and nobody has seen to it. */
export function isUnseen(steps: Step[]): boolean {
  return steps.some((step) => step.kind === 'REPLY' && step.acts.includes('BRING_BACK'));
}

function needs(steps: Step[]): boolean {
  return steps.some(needsPerson);
}
