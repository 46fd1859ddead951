import type { Schemas } from '../../api/client';
import { dayOfYear } from '../../lib/dates';
import { counted } from '../../lib/numbers';

export type Absence = Schemas['AbsenceView'];
export type Form = Schemas['AbsenceForm'];
export type TakingOver = Schemas['TakingOverForm'];
type Fate = Schemas['FateCount']['fate'];

/** The absence whose rule has this id; rules of absences are not edited as rules. */
export function absenceOfRule(rule: string): string | undefined {
  return /^absence-(.+)-(answer|hand-over)$/.exec(rule)?.[1];
}

export function newForm(first: string, last: string): Form {
  return { first, last, audience: 'EVERYONE', groups: [], templates: [] };
}

export const NOBODY: TakingOver = {
  address: '',
  share: 'NOTHING',
  rules: [],
  redirected: false,
  daysBefore: 3,
};

/** Whether enough is filled in to be looked over and planned. */
export function isWhole({ first, last, audience, groups, templates, takingOver }: Form): boolean {
  const answers = audience === 'NOBODY' || templates.length > 0;
  const to = audience !== 'GROUPS' || groups.length > 0;
  const over =
    !takingOver ||
    (takingOver.address.includes('@') && (takingOver.share !== 'OF_RULES' || takingOver.rules.length > 0));
  return first !== '' && last >= first && answers && to && over;
}

/** "1 to 7 Dec", or "24 Dec". */
export function shortDays({ first, last }: { first: string; last: string }, today: string): string {
  if (first === last) {
    return dayOfYear(first, today);
  }
  const month = first.slice(0, 7) === last.slice(0, 7);
  return `${month ? Number(first.slice(8)) : dayOfYear(first, today)} to ${dayOfYear(last, today)}`;
}

/** How it stands with the substitute; empty where there is none. */
export function standingInWords({ form, standing }: Pick<Absence, 'form' | 'standing'>): string {
  if (!form.takingOver) {
    return '';
  }
  const who = form.takingOver.name ?? form.takingOver.address;
  switch (standing) {
    case 'AGREED':
      return `${who} agreed`;
    case 'DECLINED':
      return `${who} declined`;
    case 'ASKED':
      return `${who} was asked`;
    case 'UNREACHED':
      return `${who} was not reached`;
    case 'NOT_ASKED':
      return `${who} is not asked yet`;
  }
}

/** A line of what would have been done, in the singular and the plural. */
const FATES: Record<Fate, (many: boolean) => string> = {
  ANSWERED: () => 'would have been answered once',
  ANSWERED_BEFORE: () => 'of senders who had the answer already',
  LIST: () => 'from lists, left alone',
  AUTOMATIC: () => 'from machines, left alone',
  ANOTHER_ANSWER: () => 'answered by another rule',
  NOT_ANSWERED: () => 'left alone for another reason',
  HANDED_OVER: () => 'would have been handed over',
};

export function fateInWords({ fate, count }: Schemas['FateCount']): string {
  return FATES[fate](count !== 1);
}

export function fateCounted({ fate, count }: Schemas['FateCount']): string {
  return counted(count, fate === 'ANSWERED' ? 'sender' : 'message');
}

/** What a new answer says, in each language that one begins in; people change the words. */
export const SAMPLES = [
  {
    language: 'en-GB',
    name: 'English',
    subject: 'I am away until {{absence.lastDay}}',
    text: 'Hello,\n\nthank you for your message. I am away until {{absence.lastDay}} and answer from {{absence.nextOpening}} on.\n\nIf it can’t wait, {{absence.substitute}} can help.',
    fallback: 'my colleagues',
  },
  {
    language: 'de-DE',
    name: 'German',
    subject: 'Ich bin bis {{absence.lastDay}} nicht da',
    text: 'Guten Tag,\n\ndanke für Ihre Nachricht. Ich bin bis zum {{absence.lastDay}} nicht da und antworte ab dem {{absence.nextOpening}}.\n\nWenn es eilt, schreiben Sie bitte an {{absence.substitute}}.',
    fallback: 'meine Kolleginnen und Kollegen',
  },
  {
    language: 'fr-FR',
    name: 'French',
    subject: 'Je suis absent jusqu’au {{absence.lastDay}}',
    text: 'Bonjour,\n\nmerci pour votre message. Je suis absent jusqu’au {{absence.lastDay}} et vous répondrai à partir du {{absence.nextOpening}}.\n\nEn cas d’urgence, merci d’écrire à {{absence.substitute}}.',
    fallback: 'mes collègues',
  },
  {
    language: 'sv-SE',
    name: 'Swedish',
    subject: 'Jag är borta till och med {{absence.lastDay}}',
    text: 'Hej,\n\ntack för ditt meddelande. Jag är borta till och med {{absence.lastDay}} och svarar från den {{absence.nextOpening}}.\n\nOm det är bråttom, skriv till {{absence.substitute}}.',
    fallback: 'mina kollegor',
  },
] as const;

export type Sample = (typeof SAMPLES)[number];

export function sampleTemplate(of: Sample): Schemas['TemplateText'] {
  return {
    name: `Away, ${of.name}`,
    language: of.language,
    subject: of.subject,
    text: of.text,
    rich: '',
    signature: '',
    documents: [],
    fallbacks: {
      'absence.substitute': of.fallback,
      'absence.lastDay': '…',
      'absence.nextOpening': '…',
    },
  };
}
