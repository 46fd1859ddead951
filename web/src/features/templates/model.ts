import type { Schemas } from '../../api/client';

export type TemplateText = Schemas['TemplateText'];
/** What can be inserted into a text; its name as people read it. */
export interface FieldView {
  key: string;
  name: string;
  canBeMissing: boolean;
}

/** A template that is edited: the version it began from, and its text now. */
export interface EditedTemplate {
  id: string;
  baseVersion: number;
  written: TemplateText;
  /** Files that were put in while it is edited. */
  brought?: string[];
}

export const LANGUAGES = [
  { value: 'en-GB', text: 'English' },
  { value: 'de-DE', text: 'Deutsch' },
  { value: 'fr-FR', text: 'français' },
  { value: 'sv-SE', text: 'svenska' },
];

export function newTemplate(): EditedTemplate {
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

export function edited(view: Schemas['TemplateView']): EditedTemplate {
  return { id: view.id, baseVersion: view.version, written: view.written };
}

const CAPTURED = /\{\{\s*(captured\.[A-Za-z][A-Za-z0-9_]*)\s*\}\}/g;

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
    [...whole.matchAll(CAPTURED)].map(([, key = '']) => [
      key,
      { key, name: nameOf(key, fields), canBeMissing: true },
    ]),
  );
  return [...named, ...captured.values()];
}

/** What the editor holds: paragraphs of text and fields. */
export interface Held {
  type?: string;
  text?: string;
  attrs?: Record<string, unknown>;
  content?: Held[];
}

const FIELD = /\{\{\s*([A-Za-z][\w.]*)\s*\}\}/g;

/** A field as people read it. */
export function nameOf(key: string, fields: FieldView[]): string {
  const captured = /^captured\.(\w+)$/.exec(key)?.[1];
  const known = fields.find((field) => field.key === key)?.name;
  return known ?? (captured === undefined ? key : `“${captured}” from the pattern`);
}

/** Where fields stand in a text. */
export function fieldsIn(text: string): { from: number; to: number; key: string }[] {
  return [...text.matchAll(FIELD)].map(({ 0: braces, 1: key = '', index }) => ({
    from: index,
    to: index + braces.length,
    key,
  }));
}

/** Plain text for the editor: a paragraph for each line, fields as chips. */
export function asLines(text: string, fields: FieldView[]): Held {
  return {
    type: 'doc',
    content: text.split('\n').map((line) => ({ type: 'paragraph', content: pieces(line, fields) })),
  };
}

function pieces(line: string, fields: FieldView[]): Held[] {
  // What is split by a group has what the group took at every second place.
  return line
    .split(FIELD)
    .map((piece, at) =>
      at % 2 === 0
        ? { type: 'text', text: piece }
        : { type: 'field', attrs: { key: piece, words: nameOf(piece, fields) } },
    )
    .filter((piece) => piece.text !== '');
}

/** Plain text as it is kept: fields in their braces. */
export function fromLines(held: Held, between: string): string {
  const lines = (held.content ?? []).map((line) =>
    (line.content ?? [])
      .map((piece) => (piece.type === 'field' ? `{{${String(piece.attrs?.['key'])}}}` : (piece.text ?? '')))
      .join(''),
  );
  return lines.join(between);
}

export function sameText(a: TemplateText, b: TemplateText): boolean {
  return JSON.stringify(a) === JSON.stringify(b);
}

/** Rich text for the editor: each field is a chip that stands as one sign. */
export function withChips(rich: string, fields: FieldView[]): string {
  return rich.replace(FIELD, (_, key: string) => `<span data-field="${key}">${nameOf(key, fields)}</span>`);
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

/** A number of bytes as people say it. */
export function sizeInWords(bytes: number): string {
  const kilo = 1024;
  return bytes < kilo * kilo ? `${Math.ceil(bytes / kilo)} KB` : `${(bytes / kilo / kilo).toFixed(1)} MB`;
}
