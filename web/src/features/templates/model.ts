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
    written: {
      name: '',
      language: 'en-GB',
      subject: '',
      text: '',
      rich: '',
      signature: '',
      documents: [],
      fallbacks: {},
    },
  };
}

export function inHand(view: Schemas['TemplateView']): InHand {
  return { id: view.id, baseVersion: view.version, written: view.written };
}

const CAPTURED = /\{\{\s*(captured\.([A-Za-z][A-Za-z0-9_]*))\s*\}\}/g;

function wholeText({ subject, text, rich, signature }: TemplateText): string {
  return [subject, text, rich, signature].join('\n');
}

/** The fields that a template uses, in the order of the list; then what patterns take out of a message. */
export function usedFields(written: TemplateText, fields: FieldView[]): FieldView[] {
  const whole = wholeText(written);
  const named = fields.filter(({ key }) =>
    new RegExp(`\\{\\{\\{?\\s*${key.replace('.', '\\.')}\\s*\\}`).test(whole),
  );
  const captured = new Map(
    [...whole.matchAll(CAPTURED)].map(([, key = '', name = '']) => [
      key,
      { key, words: `“${name}” of the pattern`, canBeMissing: true },
    ]),
  );
  return [...named, ...captured.values()];
}

/** A text with a field put where the cursor stands; and where the cursor stands then. */
export function withField(text: string, at: number, key: string): { text: string; cursor: number } {
  const chip = `{{${key}}}`;
  return { text: text.slice(0, at) + chip + text.slice(at), cursor: at + chip.length };
}

export function sameText(a: TemplateText, b: TemplateText): boolean {
  return JSON.stringify(a) === JSON.stringify(b);
}

/** Rich text for the editor: each field is a chip that stands as one sign. */
export function withChips(rich: string, fields: FieldView[]): string {
  return rich.replace(/\{\{\s*([A-Za-z][\w.]*)\s*\}\}/g, (_, key: string) => {
    const words = fields.find((field) => field.key === key)?.words ?? key;
    return `<span data-field="${key}">${words}</span>`;
  });
}

/** Rich text as it is kept: fields in their braces. */
export function withBraces(html: string): string {
  const plain = html.replace(/<span data-field="([\w.]+)"[^>]*>.*?<\/span>/g, '{{$1}}');
  return plain === '<p></p>' ? '' : plain;
}

/** Plain text as rich text to begin with. */
export function asRich(text: string): string {
  const escaped = text.trim().replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;');
  return escaped
    .split(/\n[ \t]*\n/)
    .filter((paragraph) => paragraph !== '')
    .map((paragraph) => `<p>${paragraph.replace(/\n/g, '<br>')}</p>`)
    .join('');
}

const BLOCKS = /<\/(p|h2|h3|blockquote|ul|ol|tr)>/g;

/** Rich text as plain text: paragraphs apart, items with a dash, links with where they lead. */
export function asPlain(rich: string): string {
  const lines = rich
    .replace(/<a [^>]*href="(?:mailto:)?([^"]*)"[^>]*>(.*?)<\/a>/g, (_, to: string, words: string) =>
      words === to ? to : `${words} (${to})`,
    )
    .replace(/<li>(?:<p>)?(.*?)(?:<\/p>)?<\/li>/g, '- $1\n')
    .replace(/<br[^>]*>/g, '\n')
    .replace(/<hr[^>]*>/g, '\n')
    .replace(BLOCKS, '\n\n')
    .replace(/<[^>]+>/g, '');
  return lines
    .replace(/&lt;/g, '<')
    .replace(/&gt;/g, '>')
    .replace(/&nbsp;/g, ' ')
    .replace(/&amp;/g, '&')
    .replace(/\n{3,}/g, '\n\n')
    .trim();
}

/** A number of octets as people say it. */
export function sizeInWords(octets: number): string {
  const kilo = 1024;
  return octets < kilo * kilo ? `${Math.ceil(octets / kilo)} KB` : `${(octets / kilo / kilo).toFixed(1)} MB`;
}
