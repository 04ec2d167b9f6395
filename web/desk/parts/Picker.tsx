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
  return (
    <Popover.Root
      open={isOpen}
      onOpenChange={(next) => {
        setOpen(next);
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
            placeholder={placeholder}
            className="w-full border-b bg-transparent px-3 py-2.5 outline-none placeholder:text-soft"
          />
          <Command.List ref={list} className="max-h-[300px] overflow-auto p-1.5">
            <KeepHighlight list={list} highlight={setHighlighted} />
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

/**
 * Highlights the first row that can be chosen whenever the highlighted one has gone, as when rows come later than what
 * was typed: return then always takes a row.
 */
function KeepHighlight({
  list,
  highlight,
}: {
  readonly list: React.RefObject<HTMLDivElement | null>;
  highlight(value: string): void;
}) {
  useEffect(() => {
    const element = list.current;
    if (!element) return;
    const rows = (more = ''): Element | null =>
      element.querySelector(`[role="option"]:not([aria-disabled="true"])${more}`);
    const keep = (): void => {
      if (rows('[aria-selected="true"]')) return;
      const value = rows()?.getAttribute('data-value');
      if (value) highlight(value);
    };
    keep();
    const watcher = new MutationObserver(keep);
    watcher.observe(element, { childList: true, subtree: true });
    return () => watcher.disconnect();
  }, [list, highlight]);
  return null;
}

/** One thing to choose in a picker; what is chosen already can be seen but not chosen again. */
export function PickerItem({
  value,
  isChosen,
  choose,
  children,
}: {
  readonly value: string;
  readonly isChosen: boolean;
  choose(): void;
  readonly children: ReactNode;
}) {
  return (
    <Command.Item
      value={value}
      disabled={isChosen}
      onSelect={choose}
      className="flex items-center gap-2.5 rounded px-2 py-1 data-[disabled=true]:opacity-50 data-[selected=true]:bg-press-soft"
    >
      {children}
    </Command.Item>
  );
}
