import { EditorContent, useEditor } from '@tiptap/react';
import StarterKit from '@tiptap/starter-kit';
import { useEffect, useId } from 'react';
import { asLines, fromLines, nameOf, type FieldView } from '../model';
import { FieldChip } from './FieldChip';

/** Where a field is put in: the text in which the cursor stood last. */
export interface FieldHand {
  putIn: (key: string) => void;
}

export interface FieldTextProps {
  label: string;
  hideLabel?: boolean;
  text: string;
  fields: FieldView[];
  /** Lines it is high; of one line there is no second one. */
  lines: number;
  onHand: (hand: FieldHand) => void;
  /** Fields are put in here before the cursor stood anywhere. */
  first?: boolean;
  className?: string;
  onChange: (text: string) => void;
}

const HIGH: Record<number, string> = {
  1: 'min-h-8 py-1',
  3: 'min-h-[74px] py-1.5',
  5: 'min-h-28 py-1.5',
  11: 'min-h-56 py-1.5',
};

const PLAIN = StarterKit.configure({
  blockquote: false,
  bold: false,
  bulletList: false,
  code: false,
  codeBlock: false,
  hardBreak: false,
  heading: false,
  horizontalRule: false,
  italic: false,
  link: false,
  listItem: false,
  listKeymap: false,
  orderedList: false,
  strike: false,
  trailingNode: false,
  underline: false,
});

/** Plain text in which fields stand as words; kept in braces. */
export default function FieldText({
  label,
  hideLabel = false,
  text,
  fields,
  lines,
  onHand,
  first = false,
  className = '',
  onChange,
}: FieldTextProps) {
  const id = useId();
  const kept = lines === 1 ? ' ' : '\n';
  const editor = useEditor({
    extensions: [PLAIN, FieldChip.configure({ fields })],
    content: asLines(text, fields),
    editorProps: {
      attributes: {
        'aria-labelledby': id,
        'aria-multiline': String(lines > 1),
        role: 'textbox',
        class: `w-full rounded border border-line2 bg-sheet px-2 text-ink ${HIGH[lines] ?? ''}`,
      },
      handleKeyDown: (_, event) => lines === 1 && event.key === 'Enter',
      clipboardTextSerializer: (slice) => fromLines({ content: slice.content.toJSON() }, '\n'),
    },
    onFocus: () => {
      onHand({ putIn });
    },
    onUpdate: ({ editor: now }) => onChange(fromLines(now.getJSON(), kept)),
  });
  const putIn = (key: string) => {
    const words = nameOf(key, fields);
    editor.chain().focus().insertContent({ type: 'field', attrs: { key, words } }).run();
  };
  useEffect(() => {
    // While it is being loaded, the first editor may be given up for another one.
    if (!editor.isDestroyed && fromLines(editor.getJSON(), kept) !== text) {
      editor.commands.setContent(asLines(text, fields), { emitUpdate: false });
    }
  }, [editor, text, fields, kept]);
  useEffect(() => {
    if (first) {
      onHand({ putIn });
    }
    // Only when it comes up: later the cursor says where fields go.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [editor]);
  return (
    <div className={className}>
      <span id={id} className={hideLabel ? 'sr-only' : 'mb-0.5 block text-sm text-ink2'}>
        {label}
      </span>
      <EditorContent editor={editor} />
    </div>
  );
}
