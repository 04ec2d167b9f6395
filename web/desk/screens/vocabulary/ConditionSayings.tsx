import { ArrowRight, X } from 'lucide-react';
import { useState } from 'react';
import type { Condition } from '../../../../core/setup/parts/vocabulary.ts';
import { longest } from '../../../../core/setup/terms/limits.ts';
import { Button, IconButton } from '../../parts/Button.tsx';
import { Choice } from '../../parts/Controls.tsx';
import { shelfRow } from '../../parts/Screen.tsx';
import { conditionText } from './conditionText.ts';

interface Saying {
  readonly words: string;
  readonly condition: Condition;
}
interface Attribute {
  readonly key: string;
  readonly label: string;
  readonly kind: string;
  readonly canFilter: boolean;
  readonly isNumeric: boolean;
}
type Kind = 'newer' | 'number' | 'reduced' | 'value';

const field = 'min-w-0 rounded-md border bg-surface px-2 py-[5px] placeholder:text-soft';

/** Words such as "new" or "sale", and what a product must be for them. */
export function ConditionSayings({
  sayings,
  attributes,
  change,
}: {
  readonly sayings: readonly Saying[];
  readonly attributes: readonly Attribute[];
  change(sayings: readonly Saying[]): void;
}) {
  const [words, setWords] = useState('');
  const [kind, setKind] = useState<Kind>('newer');
  const [attribute, setAttribute] = useState('');
  const [amount, setAmount] = useState('');
  const labelOf = (key: string): string => attributes.find((each) => each.key === key)?.label ?? key;
  const fitting = attributes.filter((each) =>
    kind === 'newer'
      ? each.kind === 'date'
      : kind === 'number'
        ? each.isNumeric && each.kind !== 'date'
        : each.canFilter && !each.isNumeric,
  );
  const chosen = fitting.find((each) => each.key === attribute)?.key ?? fitting[0]?.key ?? '';
  const number = Number(amount);
  const isNumber = amount.trim() !== '' && Number.isFinite(number) && number >= 0;
  const condition = ((): Condition | null => {
    if (kind === 'reduced') return { what: 'reduced' };
    if (chosen === '') return null;
    if (kind === 'value')
      return amount.trim() === '' ? null : { what: 'value', attribute: chosen, value: amount.trim() };
    if (!isNumber) return null;
    if (kind === 'number') return { what: 'number', attribute: chosen, from: number, to: null };
    return Number.isInteger(number) && number > 0 ? { what: 'newer', attribute: chosen, days: number } : null;
  })();
  const said = words.trim();
  const isFine = condition !== null && said !== '' && said.split(/\s+/).length <= 4;
  return (
    <>
      <h3 className="mt-3 font-semibold">Words that stand for a condition</h3>
      <ul className="mt-1 space-y-[5px]" aria-label="Words that stand for a condition">
        {sayings.map((saying) => (
          <li key={saying.words} className={`${shelfRow(false)} flex items-center gap-2 py-1 pr-2 pl-3`}>
            <b className="font-semibold">{saying.words}</b>
            <ArrowRight size={14} aria-label="means" className="shrink-0 text-soft" />
            <span className="flex-1">{conditionText(saying.condition, labelOf)}</span>
            <IconButton
              label={`Remove the condition of ${saying.words}`}
              onClick={() => change(sayings.filter((each) => each !== saying))}
            >
              <X size={15} aria-hidden />
            </IconButton>
          </li>
        ))}
      </ul>
      <form
        className="mt-2 flex flex-wrap items-center gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (!isFine) return;
          change([...sayings.filter((each) => each.words !== said), { words: said, condition }]);
          setWords('');
          setAmount('');
        }}
      >
        <input
          aria-label="Words that have a condition"
          placeholder="new"
          className={`${field} w-[130px]`}
          maxLength={longest.saying}
          value={words}
          onChange={(event) => setWords(event.target.value)}
        />
        <ArrowRight size={14} aria-hidden className="shrink-0 text-soft" />
        <Choice<Kind>
          label="Kind of condition"
          value={kind}
          options={[
            ['newer', 'is not older than'],
            ['number', 'is at least'],
            ['reduced', 'costs less than it did'],
            ['value', 'is'],
          ]}
          change={setKind}
        />
        {kind !== 'reduced' && (
          <>
            <Choice
              label="Attribute of the condition"
              value={chosen}
              options={
                fitting.length > 0
                  ? fitting.map((each) => [each.key, each.label] as const)
                  : [['', 'no attribute fits']]
              }
              change={setAttribute}
            />
            <input
              aria-label={kind === 'newer' ? 'Days' : kind === 'number' ? 'Least amount' : 'Value'}
              placeholder={kind === 'newer' ? '60 days' : kind === 'number' ? '50' : 'new'}
              className={`${field} w-[90px]`}
              value={amount}
              onChange={(event) => setAmount(event.target.value)}
            />
          </>
        )}
        <Button type="submit" disabled={!isFine}>
          Add
        </Button>
      </form>
    </>
  );
}
