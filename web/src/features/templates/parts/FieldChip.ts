import { mergeAttributes, Node, nodeInputRule, nodePasteRule } from '@tiptap/core';
import { wordsOf, type FieldView } from '../model';

/** Without a group: what a group takes would be all that is replaced. */
const NAMED = '\\{\\{\\s*[A-Za-z][\\w.]*\\s*\\}\\}';

/** A field as one sign that is written and removed whole; braces that are typed or pasted become one. */
export const FieldChip = Node.create<{ fields: FieldView[] }>({
  name: 'field',
  group: 'inline',
  inline: true,
  atom: true,
  addOptions: () => ({ fields: [] }),
  addAttributes: () => ({
    key: { parseHTML: (element) => element.getAttribute('data-field') },
    words: { parseHTML: (element) => element.textContent },
  }),
  parseHTML: () => [{ tag: 'span[data-field]' }],
  renderHTML: ({ node, HTMLAttributes }) => [
    'span',
    mergeAttributes({ 'data-field': String(node.attrs['key']), class: 'field-chip' }, HTMLAttributes),
    String(node.attrs['words']),
  ],
  renderText: ({ node }) => `{{${String(node.attrs['key'])}}}`,
  addInputRules() {
    return [
      nodeInputRule({ find: new RegExp(`${NAMED}$`), type: this.type, getAttributes: this.storage.named }),
    ];
  },
  addPasteRules() {
    return [
      nodePasteRule({ find: new RegExp(NAMED, 'g'), type: this.type, getAttributes: this.storage.named }),
    ];
  },
  addStorage() {
    return {
      named: ([braces = '']: string[]) => {
        const key = braces.replace(/[{}\s]/g, '');
        return { key, words: wordsOf(key, this.options.fields) };
      },
    };
  },
});
