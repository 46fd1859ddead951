import type { Schemas } from '../../api/client';
import { counted } from '../../lib/numbers';

export type Waiting = Schemas['WaitingView'];

export interface WaitingGroup {
  key: string;
  title: string;
  items: Waiting[];
}

const FOR_DESTINATION: Record<string, string> = {
  OUTSIDE: 'Outside address has not agreed yet',
  DESTINATION_DECLINED: 'Outside address declined',
};
const BY_ITSELF = 'Goes out by itself';

/** Why a flood is held: it is dealt with by what is alike in it. */
const LIMITS = ['SENDER_LIMIT', 'RULE_LIMIT', 'DESTINATION_LIMIT', 'HOURLY_LIMIT'];

/** Whether it is held because so much is leaving. */
export function isOverLimit(step: Schemas['StepView']): boolean {
  return step.state === 'HELD' && LIMITS.includes(step.because?.code ?? '');
}

/** Whether its rule sends nothing before a person has looked at it. */
export function isToApprove(step: Schemas['StepView']): boolean {
  return step.state === 'HELD' && ['APPROVAL', 'COMPOSED'].includes(step.because?.code ?? '');
}

/** A subject without what varies from message to message: its numbers. */
function alike(subject: string): string {
  return subject.replace(/[0-9][0-9.,:/-]*/g, '…').trim() || '(no subject)';
}

/** What waits for the same together: first what a person decides, then destinations, last what needs nobody. */
export function waitingGroups(all: Waiting[]): WaitingGroup[] {
  const groups = new Map<string, WaitingGroup>();
  for (const one of all) {
    const { key, title } = groupOf(one);
    const group = groups.get(key);
    if (group) {
      group.items.push(one);
    } else {
      groups.set(key, { key, title, items: [one] });
    }
  }
  return [...groups.values()].sort((one, other) => rank(one) - rank(other));
}

function groupOf({ step, message, approved }: Waiting): { key: string; title: string } {
  const code = step.because?.code ?? '';
  if (step.releaseAt !== undefined) {
    return { key: BY_ITSELF, title: BY_ITSELF };
  }
  const destination = FOR_DESTINATION[code];
  if (destination !== undefined) {
    return { key: code, title: destination };
  }
  const key = `${step.rule} ${step.kind} ${code}`;
  if (isOverLimit(step)) {
    const form = alike(message.subject);
    return { key: `${key} ${form}`, title: `${step.ruleName} · over the limit · “${form}”` };
  }
  if (!isToApprove(step)) {
    return { key, title: `${step.ruleName} · held` };
  }
  const first = step.release.code === 'RELEASE_FIRST_ON_APPROVAL';
  const sofar = first && approved > 0 ? `, ${counted(approved, 'message')} approved` : '';
  return { key, title: `${step.ruleName} · ${step.release.words}${sofar}` };
}

function rank({ key }: WaitingGroup): number {
  return key === BY_ITSELF ? 2 : key in FOR_DESTINATION ? 1 : 0;
}

/** The one to look at: the chosen one, else what has taken its place. */
export function lookedAt(
  groups: WaitingGroup[],
  chosen: { id: string; at: number } | undefined,
): Waiting | undefined {
  const all = groups.flatMap((group) => group.items);
  return all.find(({ step }) => step.id === chosen?.id) ?? all[Math.min(chosen?.at ?? 0, all.length - 1)];
}

/** "in 4 min", "in 2 h", "on 1 Dec, 09:00". */
export function untilInWords(iso: string, now: Date, dayAndTime: (iso: string) => string): string {
  const minutes = Math.ceil((Date.parse(iso) - now.getTime()) / 60_000);
  if (minutes < 1) {
    return 'now';
  }
  return minutes <= 120 ? `in ${minutes} min` : `on ${dayAndTime(iso)}`;
}
