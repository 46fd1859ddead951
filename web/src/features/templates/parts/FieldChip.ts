import { mergeAttributes, Node } from '@tiptap/core';
import { Plugin } from '@tiptap/pm/state';
import { fieldsIn, nameOf, type FieldView } from '../model';

/** A field as one sign that is written and removed whole; braces become one, however they came in. */
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
  addProseMirrorPlugins() {
    const { type, options } = this;
    return [
      new Plugin({
        appendTransaction: (transactions, _, state) => {
          const change = state.tr;
          if (transactions.some((transaction) => transaction.docChanged)) {
            state.doc.descendants((node, at) => {
              for (const { from, to, key } of fieldsIn(node.text ?? '')) {
                const chip = type.create({ key, words: nameOf(key, options.fields) });
                change.replaceWith(change.mapping.map(at + from), change.mapping.map(at + to), chip);
              }
            });
          }
          return change.docChanged ? change : null;
        },
      }),
    ];
  },
});
