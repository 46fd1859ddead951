import type { Schemas } from '../../api/client';
import { count, counted } from '../../lib/numbers';
import type { State } from './queries';

/** What the records are asked for, as the address of the request has it. */
export type Filter = Record<string, string>;

type Action = Schemas['StepView']['kind'];

/** What the page's own address says of it. */
export const FIELDS = ['rule', 'action', 'sender', 'recipient', 'words', 'since', 'until'] as const;

/** Actions as one looks for them. */
export const ACTIONS: { value: Action; text: string }[] = [
  { value: 'FORWARD', text: 'forwarded' },
  { value: 'REDIRECT', text: 'redirected' },
  { value: 'REPLY', text: 'replied to' },
  { value: 'ANSWER_COPY', text: 'copy of a reply' },
  { value: 'FILE', text: 'filed' },
  { value: 'FILE_ELSEWHERE', text: 'filed in another mailbox' },
  { value: 'COPY', text: 'copied to a folder' },
  { value: 'ARCHIVE', text: 'archived' },
  { value: 'MARK', text: 'marked' },
  { value: 'TRASH', text: 'moved to the trash' },
  { value: 'DELETE', text: 'deleted for good' },
  { value: 'OUT_OF_JUNK', text: 'moved out of junk' },
  { value: 'NOTIFY', text: 'shown as a notice' },
  { value: 'FOLLOW_UP', text: 'followed up' },
  { value: 'BRING_BACK', text: 'brought back' },
  { value: 'UNDO', text: 'undone by a person' },
];

/** When a day begins where this browser is. */
function instant(day: string, days: number): string {
  const at = new Date(`${day}T00:00:00`);
  at.setDate(at.getDate() + days);
  return Number.isNaN(at.getTime()) ? '' : at.toISOString();
}

/** What is asked of the server; the last day counts. */
export function filterOf(search: URLSearchParams, states: State[]): Filter {
  const text = (field: string) => (search.get(field) ?? '').trim();
  const all = {
    states: states.join(','),
    actions: text('action'),
    rule: text('rule'),
    sender: text('sender'),
    recipient: text('recipient'),
    words: text('words'),
    from: text('since') && instant(text('since'), 0),
    until: text('until') && instant(text('until'), 1),
  };
  return Object.fromEntries(Object.entries(all).filter(([, value]) => value !== ''));
}

/** The page's address with one thing asked otherwise. */
export function asked(search: URLSearchParams, field: string, value: string): URLSearchParams {
  const next = new URLSearchParams(search);
  if (value === '') {
    next.delete(field);
  } else {
    next.set(field, value);
  }
  return next;
}

export function countInWords({ records, more }: Schemas['RecordCount']): string {
  return more ? `more than ${count(records)} records` : counted(records, 'record');
}
