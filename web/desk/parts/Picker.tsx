import { Command } from 'cmdk';
import { Plus } from 'lucide-react';
import { Popover } from 'radix-ui';
import { type ReactNode, useEffect, useRef, useState } from 'react';
import { PopoverPanel } from '../../look/PopoverPanel.tsx';

/** A button that opens a list to choose one thing from, narrowed by typing and worked from the keyboard. */
export function Picker({
  label,
  find,
  placeholder,
  isSmall = false,
  closed,
  children,
}: {
  readonly label: string;
  /** What the list is called for screen readers. */
  readonly find: string;
  readonly placeholder: string;
  /** Within a line of text. */
  readonly isSmall?: boolean;
  /** Called when the list is closed, however. */
  closed?(): void;
  /** The list for what is typed; `close` is called when something was chosen. */
  children(typed: string, close: () => void): ReactNode;
}) {
  const [isOpen, setOpen] = useState(false);
  const [text, setText] = useState('');
  const [highlighted, setHighlighted] = useState('');
  const list = useRef<HTMLDivElement>(null);
  /** Return was pressed before the rows of what is typed were there: it takes the first of them. */
  const takesFirst = useRef(false);
  return (
    <Popover.Root
      open={isOpen}
      onOpenChange={(next) => {
        setOpen(next);
        takesFirst.current = false;
        if (!next) closed?.();
      }}
    >
      <Popover.Trigger
        className={
          isSmall
            ? 'inline-flex min-h-6 items-center gap-1 rounded-md px-1.5 py-0.5 text-[13px] text-press hover:bg-press-soft'
            : 'inline-flex items-center gap-1.5 rounded-lg border bg-surface px-3 py-1.5 font-semibold hover:border-edge'
        }
      >
        <Plus size={isSmall ? 13 : 15} aria-hidden /> {label}
      </Popover.Trigger>
      <PopoverPanel label={label} className="w-[360px]">
        <Command shouldFilter={false} label={find} value={highlighted} onValueChange={setHighlighted}>
          <Command.Input
            value={text}
            onValueChange={setText}
            onKeyDown={({ key }) => {
              takesFirst.current = key === 'Enter' && list.current !== null && !rowsIn(list.current);
            }}
            placeholder={placeholder}
            className="w-full border-b bg-transparent px-3 py-2.5 outline-none placeholder:text-soft"
          />
          <Command.List ref={list} className="max-h-[300px] overflow-auto p-1.5">
            <KeepHighlight list={list} highlight={setHighlighted} takesFirst={takesFirst} />
            {children(text.trim(), () => {
              setText('');
              setOpen(false);
              closed?.();
            })}
          </Command.List>
        </Command>
      </PopoverPanel>
    </Popover.Root>
  );
}

/** The first row that can be chosen now, or the first such that is also what `more` selects. */
const rowsIn = (list: Element, more = ''): HTMLElement | null =>
  list.querySelector(`[role="option"]:not([aria-disabled="true"])${more}`);

/**
 * Highlights the first row that can be chosen whenever the highlighted one has gone, as when rows come later than what
 * was typed: return then always takes a row.
 */
function KeepHighlight({
  list,
  highlight,
  takesFirst,
}: {
  readonly list: React.RefObject<HTMLDivElement | null>;
  highlight(value: string): void;
  readonly takesFirst: React.RefObject<boolean>;
}) {
  useEffect(() => {
    const element = list.current;
    if (!element) return;
    const keep = (): void => {
      const first = rowsIn(element);
      if (first && takesFirst.current) {
        takesFirst.current = false;
        first.click();
        return;
      }
      if (rowsIn(element, '[aria-selected="true"]')) return;
      const value = first?.getAttribute('data-value');
      if (value) highlight(value);
    };
    keep();
    const watcher = new MutationObserver(keep);
    watcher.observe(element, { childList: true, subtree: true, attributeFilter: ['aria-disabled'] });
    return () => watcher.disconnect();
  }, [list, highlight, takesFirst]);
  return null;
}

/**
 * One thing to choose in a picker; what is chosen already can be seen but not chosen again, and what was found by what
 * was typed before not at all: another row may stand there as it is pressed.
 */
export function PickerItem({
  value,
  isChosen,
  isStale = false,
  choose,
  children,
}: {
  readonly value: string;
  readonly isChosen: boolean;
  readonly isStale?: boolean;
  choose(): void;
  readonly children: ReactNode;
}) {
  return (
    <Command.Item
      value={value}
      disabled={isChosen || isStale}
      onSelect={choose}
      className={`flex items-center gap-2.5 rounded px-2 py-1 data-[selected=true]:bg-press-soft ${isChosen ? 'opacity-50' : ''}`}
    >
      {children}
    </Command.Item>
  );
}
