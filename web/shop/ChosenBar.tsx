import { CalendarOff, EyeOff, type LucideIcon, Pin, PinOff, TrendingDown, TrendingUp, Undo2, X } from 'lucide-react';
import { Toolbar } from 'radix-ui';
import { useLayoutEffect, useRef } from 'react';
import type { ProductAct } from '../bridge/messages.ts';
import type { ShelfAt } from './shelfKeys.ts';
import type { Chosen } from './useChosen.ts';

type Offer = readonly [what: ProductAct, name: string, Icon: LucideIcon, title?: string];

function offersFor(at: ShelfAt, { products }: Chosen): Offer[] {
  const place = products[0]!.place;
  const here: Offer[] =
    at === 'everything'
      ? [
          [{ act: 'boostEverywhere' }, 'Boost everywhere', TrendingUp],
          [{ act: 'lowerEverywhere' }, 'Lower everywhere', TrendingDown],
        ]
      : [
          [{ act: 'pin', place: 1 }, 'Pin at the top', Pin],
          ...(place > 1 ? [[{ act: 'pin', place }, `Pin from place ${place}`, Pin] as const] : []),
          ...(products.some(({ marks }) => marks?.pin)
            ? [[{ act: 'unpin' }, 'Take the pins off', PinOff] as const]
            : []),
          [{ act: 'boost' }, 'Boost', TrendingUp],
          [{ act: 'lower' }, 'Lower', TrendingDown],
          ...(products.some(({ marks }) => marks?.pull !== undefined)
            ? [[{ act: 'neutral' }, 'Neither boost nor lower', Undo2] as const]
            : []),
        ];
  return [
    ...here,
    [{ act: 'hide' }, 'Hide everywhere', EyeOff],
    [{ act: 'hideSome' }, 'Hide in part …', CalendarOff, 'From some places, or until …'],
  ];
}

/** What may be done to the chosen products together; it stays in sight at the window's foot while there are any. */
export function ChosenBar(props: BarProps) {
  return props.chosen.products.length > 0 && <Bar {...props} />;
}

interface BarProps {
  readonly chosen: Chosen;
  readonly at: ShelfAt;
  act(what: ProductAct): void;
}

function Bar({ chosen, at, act }: BarProps) {
  const bar = useRef<HTMLDivElement>(null);
  // Where what was chosen is gone, the next key is for what stands there then.
  useLayoutEffect(() => {
    const { current } = bar;
    return () => {
      if (!document.hasFocus() || !current?.contains(document.activeElement)) return;
      document.querySelector<HTMLElement>('[data-product] [aria-keyshortcuts]')?.focus();
    };
  }, []);
  const { length } = chosen.products;
  const name = `${length} ${length === 1 ? 'product' : 'products'} chosen`;
  return (
    <Toolbar.Root
      ref={bar}
      aria-label={name}
      className="shelf-pad sticky bottom-0 z-20 flex flex-wrap items-center gap-1.5 border-t bg-surface py-2 text-[13px] shadow-[0_-4px_12px_rgb(0_0_0/0.08)]"
    >
      <Toolbar.Button
        aria-label="Choose none"
        title="Choose none"
        className="grid size-7 place-items-center rounded-md text-soft hover:text-ink"
        onClick={chosen.clear}
      >
        <X size={15} aria-hidden />
      </Toolbar.Button>
      <b aria-live="polite" className="mr-1 font-semibold">
        {name}
      </b>
      {offersFor(at, chosen).map(([what, name, Icon, title]) => (
        <Toolbar.Button
          key={name}
          title={title}
          className="inline-flex min-h-7 items-center gap-1.5 rounded-md border px-2.5 hover:border-edge hover:bg-press-soft"
          onClick={() => act(what)}
        >
          <Icon size={14} aria-hidden /> {name}
        </Toolbar.Button>
      ))}
    </Toolbar.Root>
  );
}
