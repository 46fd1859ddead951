import type { Schemas } from '../../api/client';

export type TemplateText = Schemas['TemplateText'];
export type FieldView = Schemas['FieldView'];

/** A template in hand: what it began from, and how it stands now. */
export interface InHand {
  id: string;
  baseVersion: number;
  written: TemplateText;
}

export const LANGUAGES = [
  { value: 'en-GB', text: 'English' },
  { value: 'de-DE', text: 'Deutsch' },
  { value: 'fr-FR', text: 'français' },
  { value: 'sv-SE', text: 'svenska' },
];

export function newTemplate(): InHand {
  return {
    id: crypto.randomUUID(),
    baseVersion: 0,
    written: { name: '', language: 'en-GB', subject: '', text: '', fallbacks: {} },
  };
}

export function inHand(view: Schemas['TemplateView']): InHand {
  return { id: view.id, baseVersion: view.version, written: view.written };
}

/** The fields that a template uses, in the order of the list. */
export function usedFields({ subject, text }: TemplateText, fields: FieldView[]): FieldView[] {
  return fields.filter(({ key }) =>
    new RegExp(`\\{\\{\\{?\\s*${key.replace('.', '\\.')}\\s*\\}`).test(`${subject}\n${text}`),
  );
}

/** A text with a field put where the cursor stands; and where the cursor stands then. */
export function withField(text: string, at: number, key: string): { text: string; cursor: number } {
  const chip = `{{${key}}}`;
  return { text: text.slice(0, at) + chip + text.slice(at), cursor: at + chip.length };
}

export function sameText(a: TemplateText, b: TemplateText): boolean {
  return JSON.stringify(a) === JSON.stringify(b);
}
