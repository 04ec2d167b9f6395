import { type Editor, EditorContent, useEditor, useEditorState } from '@tiptap/react';
import { StarterKit } from '@tiptap/starter-kit';
import {
  Bold,
  Heading,
  Italic,
  Link2,
  List,
  ListOrdered,
  type LucideIcon,
  Pilcrow,
  Quote,
  Redo2,
  Undo2,
} from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { toast } from 'sonner';
import { safeLink } from '../../../../core/catalog/safeLink.ts';
import { markedUp } from '../../../look/markedUp.ts';
import { AddressField } from '../../parts/AddressField.tsx';

/** A pause after which what was written is saved, in milliseconds. */
const pause = 700;

/** A text with headings, lists, quotes and links, written as it will look. It is passed on as markup after a pause, and on leaving. */
export function RichText({
  label,
  markup,
  longest,
  change,
}: {
  readonly label: string;
  readonly markup: string;
  /** In characters of markup. */
  readonly longest: number;
  change(markup: string): void;
}) {
  const passedOn = useRef(markup);
  const timer = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  const latest = useRef(change);
  latest.current = change;
  const written = useRef(markup);
  const passOn = (): void => {
    clearTimeout(timer.current);
    if (written.current === passedOn.current) return;
    if (written.current.length > longest) {
      toast.error('The text is too long to be saved', { description: 'Shorten it, or make two articles of it.' });
      return;
    }
    passedOn.current = written.current;
    latest.current(written.current);
  };
  const editor = useEditor({
    extensions: [
      StarterKit.configure({
        heading: { levels: [3] },
        code: false,
        codeBlock: false,
        link: { openOnClick: false, autolink: false, isAllowedUri: (address) => safeLink(address ?? '') !== '' },
      }),
    ],
    content: markup,
    editorProps: {
      attributes: {
        'aria-label': label,
        'aria-multiline': 'true',
        role: 'textbox',
        class: `min-h-[220px] max-h-[420px] overflow-auto rounded-b-lg bg-surface px-3 py-2 ${markedUp}`,
      },
    },
    onUpdate: ({ editor: changed }) => {
      written.current = changed.isEmpty ? '' : changed.getHTML();
      clearTimeout(timer.current);
      timer.current = setTimeout(passOn, pause);
    },
    onBlur: passOn,
  });
  // Undone, or changed by somebody else: what comes from outside is taken over, what was passed on from here is not.
  useEffect(() => {
    if (!editor || editor.isFocused || markup === passedOn.current) return;
    passedOn.current = markup;
    written.current = markup;
    editor.commands.setContent(markup, { emitUpdate: false });
  }, [editor, markup]);
  const leave = useRef(passOn);
  leave.current = passOn;
  useEffect(() => () => leave.current(), []);
  if (!editor) return null;
  return (
    <div className="rounded-lg border focus-within:border-edge">
      <Tools editor={editor} />
      <EditorContent editor={editor} />
    </div>
  );
}

interface Tool {
  readonly name: string;
  readonly icon: LucideIcon;
  /** What the editor calls it where it may be on. */
  readonly mark?: string;
  run(editor: Editor): void;
}

const tools: readonly Tool[] = [
  { name: 'Bold', icon: Bold, mark: 'bold', run: (editor) => editor.chain().focus().toggleBold().run() },
  { name: 'Italic', icon: Italic, mark: 'italic', run: (editor) => editor.chain().focus().toggleItalic().run() },
  {
    name: 'Heading',
    icon: Heading,
    mark: 'heading',
    run: (editor) => editor.chain().focus().toggleHeading({ level: 3 }).run(),
  },
  { name: 'Paragraph', icon: Pilcrow, run: (editor) => editor.chain().focus().setParagraph().run() },
  { name: 'List', icon: List, mark: 'bulletList', run: (editor) => editor.chain().focus().toggleBulletList().run() },
  {
    name: 'Numbered list',
    icon: ListOrdered,
    mark: 'orderedList',
    run: (editor) => editor.chain().focus().toggleOrderedList().run(),
  },
  {
    name: 'Quote',
    icon: Quote,
    mark: 'blockquote',
    run: (editor) => editor.chain().focus().toggleBlockquote().run(),
  },
  { name: 'Take back what was written', icon: Undo2, run: (editor) => editor.chain().focus().undo().run() },
  { name: 'Write it again', icon: Redo2, run: (editor) => editor.chain().focus().redo().run() },
];

function Tools({ editor }: { readonly editor: Editor }) {
  const [isLinking, setLinking] = useState(false);
  const { on, link } = useEditorState({
    editor,
    selector: ({ editor: { isActive, getAttributes } }) => ({
      on: tools.filter(({ mark }) => mark !== undefined && editor.isActive(mark)).map(({ name }) => name),
      link: isActive.call(editor, 'link') ? String(getAttributes.call(editor, 'link').href ?? '') : '',
    }),
  });
  const tool =
    'grid size-7 place-items-center rounded hover:bg-paper aria-pressed:bg-press-soft aria-pressed:text-press';
  return (
    <div role="toolbar" aria-label="How the text looks" className="flex flex-wrap items-center gap-0.5 border-b p-1">
      {tools.map(({ name, icon: Icon, mark, run }) => (
        <button
          key={name}
          type="button"
          title={name}
          aria-label={name}
          aria-pressed={mark === undefined ? undefined : on.includes(name)}
          className={tool}
          onClick={() => run(editor)}
        >
          <Icon size={15} aria-hidden />
        </button>
      ))}
      <button
        type="button"
        title="Link"
        aria-label="Link"
        aria-pressed={link !== ''}
        className={tool}
        onClick={() => setLinking((before) => !before)}
      >
        <Link2 size={15} aria-hidden />
      </button>
      {(isLinking || link !== '') && (
        <AddressField
          label="Where the marked words lead"
          placeholder="https://… or /page; empty for nowhere"
          className="min-w-[180px] flex-1 text-[13px]"
          maxLength={2000}
          value={link}
          change={(address) => {
            setLinking(false);
            if (address === '') editor.chain().focus().extendMarkRange('link').unsetLink().run();
            else editor.chain().focus().extendMarkRange('link').setLink({ href: address }).run();
          }}
        />
      )}
    </div>
  );
}
