import { Eye, Tag } from 'lucide-react';
import { useState } from 'react';
import type { Card } from '../../../../core/answer/answer.ts';
import { hidingKey } from '../../../../core/setup/hidingKey.ts';
import type { Hiding } from '../../../../core/setup/parts/hiding.ts';
import { hiddenInWords } from '../../../../core/setup/terms/ruleInWords.ts';
import { day } from '../../../look/dates.ts';
import { counted } from '../../../look/price.ts';
import { Button } from '../../parts/Button.tsx';
import { ProductLine } from '../../parts/ProductLine.tsx';
import { AboutRule } from '../../parts/rule/AboutRule.tsx';
import { LimitFields } from '../../parts/rule/LimitFields.tsx';
import { shelfRow } from '../../parts/Screen.tsx';
import { useChanged } from '../../state/changed.ts';
import { edit } from '../../state/edits.ts';
import { notInForce, type RuleState } from '../rules/ruleFigures.ts';

/** Something hidden: from where, since when and by whom, until when, how many products; with what changes it. */
export function HidingRow({
  hiding,
  name,
  card,
  isKnown,
  figures,
}: {
  readonly hiding: Hiding;
  readonly name: string;
  readonly card: Card | undefined;
  readonly isKnown: boolean;
  readonly figures: { readonly products: number; readonly state: RuleState } | undefined;
}) {
  const [isOpen, setOpen] = useState(false);
  const isChanged = useChanged('hiding')(hidingKey(hiding));
  const save = (value: Hiding | null): void => void edit({ part: 'hiding', key: hidingKey(hiding), value });
  const state = figures && notInForce[figures.state];
  const since = [hiding.since && `since ${day(hiding.since)}`, hiding.owner && `by ${hiding.owner}`].filter(Boolean);
  const called = hiding.what === 'tag' ? `products tagged ${name}` : name;
  return (
    <div className={`${shelfRow(isChanged)} w-full py-1.5 pr-2 pl-3`}>
      <div className="flex items-center gap-x-2">
        <span className="min-w-0 flex-1">
          {hiding.what === 'tag' ? (
            <span className="flex items-center gap-2.5">
              <Tag size={15} aria-hidden className="mx-2.5 shrink-0 text-soft" />
              <span className="min-w-0">
                <span className="block truncate font-semibold">{hiding.tag}</span>
                <span className="block text-[12.5px] text-soft">
                  {figures === undefined
                    ? '…'
                    : figures.products === 0
                      ? 'no product has this tag now'
                      : counted(figures.products, 'product')}
                </span>
              </span>
            </span>
          ) : (
            <ProductLine id={hiding.product} card={card} isKnown={isKnown} />
          )}
          <span className="block pl-[46px] text-[12.5px] text-soft">
            {[hiddenInWords(hiding).trim() || 'from everywhere', since.join(' ')].filter(Boolean).join(', ')}
            {hiding.note && <span className="block truncate italic">{hiding.note}</span>}
          </span>
        </span>
        {state && <span className="shrink-0 rounded bg-paper px-2 py-0.5 text-[12.5px] text-soft">{state}</span>}
        <Button
          tone="quiet"
          className="px-2"
          aria-expanded={isOpen}
          aria-label={`Change from where and when ${called} is hidden`}
          onClick={() => setOpen(!isOpen)}
        >
          {isOpen ? 'Done' : 'Change'}
        </Button>
        <Button tone="quiet" className="px-2" aria-label={`Show ${called} again`} onClick={() => save(null)}>
          <Eye size={15} aria-hidden /> Show again
        </Button>
      </div>
      {isOpen && (
        <div className="mt-2 mb-1 space-y-2.5 border-t pt-2.5">
          <LimitFields of={called} value={hiding} change={(limits) => save({ ...hiding, ...limits })} />
          <AboutRule value={hiding} change={(about) => save({ ...hiding, ...about })} />
        </div>
      )}
    </div>
  );
}
