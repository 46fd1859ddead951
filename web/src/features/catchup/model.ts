import type { Schemas } from '../../api/client';
import { dayAndTime, plainDay } from '../../lib/dates';
import { count, counted } from '../../lib/numbers';
import type { CatchUp } from './queries';

const DAY = 86_400_000;

/** As far back as past mail is kept. */
export const MOST_DAYS = 180;

/** A day written 2026-11-26, some days before another one. */
export function daysBefore(today: string, days: number): string {
  return new Date(Date.parse(today) - days * DAY).toISOString().slice(0, 10);
}

/** How many days back a day is, that day included; at most those for which past mail is kept. */
export function daysBack(day: string, today: string): number {
  const days = Math.round((Date.parse(today) - Date.parse(day)) / DAY) + 1;
  return Number.isNaN(days) ? 0 : Math.min(days, MOST_DAYS);
}

/** "about 2 minutes" */
export function aboutInWords(seconds: number): string {
  if (seconds < 60) {
    return 'less than a minute';
  }
  return seconds < 5_400
    ? `about ${counted(Math.round(seconds / 60), 'minute')}`
    : `about ${counted(Math.round(seconds / 3_600), 'hour')}`;
}

export const EVERY: Record<NonNullable<CatchUp['every']>, string> = {
  HOUR: 'every hour',
  DAY: 'every day',
  WEEK: 'every week',
};

export function rulesInWords({ rules }: CatchUp): string {
  return rules.map((rule) => `“${rule.name}”`).join(', ');
}

/** "in INBOX and the folders inside it, since 1 Nov 2026" */
export function scopeInWords({ folders, subfolders, days, before }: CatchUp): string {
  const inside = subfolders ? ` and the folders inside ${folders.length === 1 ? 'it' : 'them'}` : '';
  const since = plainDay(daysBefore(before.slice(0, 10), days - 1));
  return `in ${folders.join(', ')}${inside}, since ${since}`;
}

/** Whether it goes on, waits for its next time, or for a person. */
export function isOpen({ state, open }: CatchUp): boolean {
  return (state !== 'DONE' && state !== 'STOPPED') || open > 0;
}

/** How it stands. */
export function standingInWords(of: CatchUp): string {
  switch (of.state) {
    case 'READING':
      return of.readOf > 0
        ? `reading its folders: ${count(of.readDone)} of ${counted(of.readOf, 'message')}`
        : 'looking into its folders';
    case 'READY':
      return 'waits for you to look it over';
    case 'RUNNING':
      return `${count(of.messages)} of ${counted(of.messagesOf, 'message')} · ${aboutInWords(of.seconds)} left`;
    case 'PAUSED':
      return `paused after ${counted(of.messages, 'message')}`;
    case 'WAITING':
      return `${of.every ? EVERY[of.every] : ''}${of.nextAt ? `, next ${dayAndTime(of.nextAt)}` : ''}`;
    case 'STOPPED':
      return `stopped after ${counted(of.messages, 'message')}`;
    case 'DONE':
      return of.open > 0 ? 'all is planned' : 'done';
  }
}

/** What became of its steps. */
export function stepsInWords(of: CatchUp): string {
  const parts: [number, string][] = [
    [of.done, 'done'],
    [of.open, 'still to do'],
    [of.failed, 'failed'],
    [of.undone, 'undone'],
  ];
  const said = parts.filter(([n]) => n > 0).map(([n, words]) => `${count(n)} ${words}`);
  const passed =
    of.passedOver > 0
      ? [
          `${counted(of.passedOver, 'message')} could not be read and ${of.passedOver === 1 ? 'was' : 'were'} passed over`,
        ]
      : [];
  return said.length + passed.length === 0
    ? ''
    : [`Steps: ${said.join(', ') || 'none'}`, ...passed].join('. ');
}

/** What has to be said yes to before it starts, each with its number. */
export interface Yeses {
  handOvers: boolean;
  replies: boolean;
  deletions: boolean;
}

/** Whether each number that matters was said yes to. */
export function agreed(preview: Schemas['CatchUpPreview'], yes: Yeses): boolean {
  return (
    (preview.handOvers === 0 || yes.handOvers) &&
    (preview.replies === 0 || yes.replies) &&
    (preview.deletions === 0 || yes.deletions)
  );
}

/** Whether something is left out only because nobody wants it yet. */
export function lacks(preview: Schemas['CatchUpPreview'], why: string): boolean {
  return preview.left.some((one) => one.why.code === why);
}
