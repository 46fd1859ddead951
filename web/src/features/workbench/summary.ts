import { marksInWords } from '../../lib/flags';
import { inBrief, meant, type Criterion, type Item } from '../criteria';
import type { Draft, Step } from './model';

/** One line for criteria that are not in hand. */
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

/** One line for one step that is not in hand. */
export function stepInBrief(step: Step): string {
  switch (step.do) {
    case 'forward':
    case 'redirect':
      return `to ${step.to.join(', ') || '…'}`;
    case 'reply':
      return 'an answer';
    case 'file':
      return step.folder || '…';
    case 'mark':
      return marksInWords(step.flags, step.tags ?? [], step.remove);
    case 'copy':
      return `a copy in ${step.folder}`;
    default:
      return '';
  }
}

export interface ThreeLines {
  writerShown: string;
  subject: string;
  answersGoTo: string;
}

/** What the recipient of a forward or a redirect will see. */
export function threeLines(step: Step, ownAddress: string): ThreeLines | undefined {
  if (step.do === 'forward') {
    return { writerShown: ownAddress, subject: 'Fwd: and its subject', answersGoTo: ownAddress };
  }
  if (step.do === 'redirect') {
    const writer = 'the message’s own writer';
    return { writerShown: writer, subject: 'unchanged', answersGoTo: writer };
  }
  return undefined;
}
