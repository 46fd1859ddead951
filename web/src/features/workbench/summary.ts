import { marksInWords } from '../../lib/flags';
import { folderInWords } from '../../lib/folders';
import { counted } from '../../lib/numbers';
import { releaseInWords } from '../rules';
import { inBrief, meant, type Criterion, type Item } from '../criteria';
import type { Draft, Step } from './model';

/** One line for criteria that are not being edited. */
export function criteriaInBrief(items: Item[]): string {
  return items
    .map((item) => meant(item))
    .filter((criterion): criterion is Criterion => criterion !== undefined)
    .map(inBrief)
    .join(' · ');
}

export function picksOutInBrief(draft: Draft): string {
  return draft.everything ? 'every message' : criteriaInBrief(draft.picksOut);
}

/**
 * One line for one step that is not being edited.
 *
 * @param templates their names, by id
 */
export function stepInBrief(step: Step, templates: Map<string, string>): string {
  return [doneInBrief(step, templates), releaseInWords(step)].filter((part) => part !== '').join(', ');
}

function doneInBrief(step: Step, templates: Map<string, string>): string {
  switch (step.do) {
    case 'forward':
    case 'redirect':
      return `to ${destinations(step).join(', ') || '…'}`;
    case 'reply':
      return step.template === undefined ? 'a reply' : `reply “${templates.get(step.template) ?? '…'}”`;
    case 'file':
      return intoInBrief(step);
    case 'mark':
      return marksInWords(step.flags, step.tags ?? [], step.remove);
    case 'remind':
      return `remind me within ${step.days} days`;
    case 'follow up':
      return `back after ${counted(step.workingDays, 'working day')} unless somebody deals with it`;
    case 'copy':
      return `a copy in ${intoInBrief(step)}`;
    case 'out of junk':
      return 'out of junk';
    case 'archive':
      return 'archived';
    case 'trash':
      return 'moved to the trash';
    case 'delete':
      return 'deleted for good';
    case 'keep':
      return 'kept';
    case 'notify':
      return 'shown as a notice';
  }
}

function intoInBrief(step: Extract<Step, { folder: string }>): string {
  const each = step.perSender ? ', by sender' : step.perValue ? ', by value' : '';
  return `${folderInWords(step)}${each}`;
}

function destinations(step: Extract<Step, { to: string[] }>): string[] {
  return [...step.to, ...(step.groups ?? []).map((group) => `the group ${group}`)];
}

export interface ThreeLines {
  writerShown: string;
  subject: string;
  answersGoTo: string;
}

const WRITER = 'the sender';

/** What the recipient of a forward or a redirect will see. */
export function threeLines(step: Step, ownAddress: string): ThreeLines | undefined {
  if (step.do === 'forward') {
    const from = step.from ?? ownAddress;
    const go = { 'to us': from, 'to sender': WRITER, 'to both': `${WRITER} and ${from}` };
    return {
      writerShown: from,
      subject: step.subject ?? `${(step.prefix ?? 'Fwd:').trim()} and the original subject`,
      answersGoTo: go[step.answersGo ?? 'to us'],
    };
  }
  if (step.do === 'redirect') {
    return { writerShown: WRITER, subject: 'unchanged', answersGoTo: WRITER };
  }
  return undefined;
}
