import { EditorContent, useEditor } from '@tiptap/react';
import StarterKit from '@tiptap/starter-kit';
import { useEffect, useState } from 'react';
import { Button } from '../../../ui/Button';
import { TextField } from '../../../ui/Field';
import { withBraces, withChips, nameOf, type FieldView } from '../model';
import { FieldChip } from './FieldChip';
import type { FieldHand } from './FieldText';

interface Props {
  rich: string;
  fields: FieldView[];
  onHand: (hand: FieldHand) => void;
  onChange: (rich: string) => void;
}

/** Rich text: a few shapes of text, lists, links and fields. Ctrl+K makes a link here. */
export default function RichEditor({ rich, fields, onHand, onChange }: Props) {
  const [link, setLink] = useState<string>();
  const editor = useEditor({
    extensions: [
      StarterKit.configure({
        code: false,
        codeBlock: false,
        heading: { levels: [2, 3] },
        link: { openOnClick: false, protocols: ['http', 'https', 'mailto'] },
      }),
      FieldChip.configure({ fields }),
    ],
    content: withChips(rich, fields),
    editorProps: {
      attributes: {
        'aria-label': 'Rich text',
        'aria-multiline': 'true',
        role: 'textbox',
        class: 'rich-text min-h-56 px-2 py-1.5',
      },
      handleKeyDown: (_, event) => {
        const asksForLink = event.key === 'k' && (event.ctrlKey || event.metaKey);
        if (asksForLink) {
          event.preventDefault();
          event.stopPropagation();
          setLink(String(editor.getAttributes('link')['href'] ?? ''));
        }
        return asksForLink;
      },
    },
    onFocus: () => {
      onHand({ putIn });
    },
    onUpdate: ({ editor: now }) => onChange(withBraces(now.getHTML())),
  });
  const putIn = (key: string) => {
    const words = nameOf(key, fields);
    editor.chain().focus().insertContent({ type: 'field', attrs: { key, words } }).run();
  };
  useEffect(() => {
    // While it is being loaded, the first editor may be given up for another one.
    if (!editor.isDestroyed && withBraces(editor.getHTML()) !== rich) {
      editor.commands.setContent(withChips(rich, fields), { emitUpdate: false });
    }
  }, [editor, rich, fields]);
  useEffect(() => {
    onHand({ putIn });
    // Only when it comes up: later the cursor says where fields go.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [editor]);
  const chain = () => editor.chain().focus();
  const tools: { text: string; is: boolean; run: () => void }[] = [
    { text: 'bold', is: editor.isActive('bold'), run: () => chain().toggleBold().run() },
    { text: 'italic', is: editor.isActive('italic'), run: () => chain().toggleItalic().run() },
    {
      text: 'heading',
      is: editor.isActive('heading'),
      run: () => chain().toggleHeading({ level: 2 }).run(),
    },
    { text: 'list', is: editor.isActive('bulletList'), run: () => chain().toggleBulletList().run() },
    {
      text: 'numbered',
      is: editor.isActive('orderedList'),
      run: () => chain().toggleOrderedList().run(),
    },
    {
      text: 'link',
      is: editor.isActive('link'),
      run: () => setLink(String(editor.getAttributes('link')['href'] ?? '')),
    },
  ];
  return (
    <div className="rounded border border-line2 bg-sheet">
      <div role="toolbar" aria-label="Formatting" className="flex flex-wrap gap-1 border-b border-line p-1">
        {tools.map((tool) => (
          <button
            key={tool.text}
            type="button"
            aria-pressed={tool.is}
            className={`rounded px-2 py-0.5 text-sm ${tool.is ? 'bg-ink text-sheet' : ''}`}
            onClick={tool.run}
          >
            {tool.text}
          </button>
        ))}
      </div>
      {link !== undefined && (
        <form
          className="flex items-end gap-2 border-b border-line p-1.5"
          onSubmit={(e) => {
            e.preventDefault();
            const href = link.trim();
            if (href === '') {
              chain().unsetLink().run();
            } else {
              chain().extendMarkRange('link').setLink({ href }).run();
            }
            setLink(undefined);
          }}
        >
          <TextField
            label="Link address (empty: no link)"
            className="grow"
            autoFocus
            value={link}
            onChange={(e) => setLink(e.target.value)}
          />
          <Button type="submit" small>
            Set the link
          </Button>
        </form>
      )}
      <EditorContent editor={editor} />
    </div>
  );
}
