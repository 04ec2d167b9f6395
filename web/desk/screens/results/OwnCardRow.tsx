import { Trash2 } from 'lucide-react';
import { type ReactNode, useState } from 'react';
import type { Card } from '../../../../core/answer/answer.ts';
import type { CardArrangement } from '../../../../core/setup/parts/resultsPage/card.ts';
import type { OwnCard } from '../../../../core/setup/parts/resultsPage/ownCards.ts';
import { longest } from '../../../../core/setup/terms/limits.ts';
import { Button, IconButton } from '../../parts/Button.tsx';
import { Switch, TextField } from '../../parts/Controls.tsx';
import { ConditionEditor } from '../../parts/condition/ConditionEditor.tsx';
import { ConditionMet } from '../../parts/condition/ConditionMet.tsx';
import { shelfRow } from '../../parts/Screen.tsx';
import { useConditionWords } from '../../state/conditionWords.ts';
import { CardPieces } from './CardPieces.tsx';

/** One card of its own: which products have it, and what it is made of. */
export function OwnCardRow({
  own,
  example,
  grip,
  isChanged,
  change,
  remove,
}: {
  readonly own: OwnCard;
  /** A product that has it. */
  readonly example: Card | null | undefined;
  readonly grip: ReactNode;
  /** Whether what is taken out of it differs from what is published. */
  isChanged(of: (own: OwnCard | undefined) => unknown): boolean;
  change(change: Partial<OwnCard>): void;
  remove(): void;
}) {
  const [isOpen, setOpen] = useState(false);
  const { name } = own;
  const condition = useConditionWords()(own.condition);
  const save = (of: Partial<CardArrangement>): void => change({ card: { ...own.card, ...of } });
  return (
    <>
      <div className={`${shelfRow(isChanged((of) => of))} flex items-center gap-2 py-1.5 pr-2 pl-2 text-[13px]`}>
        {grip}
        <b className={`max-w-[40%] shrink-0 truncate font-semibold ${own.on ? '' : 'opacity-55'}`}>{name}</b>
        <span className="min-w-0 flex-1 truncate text-soft" title={condition}>
          {condition}
        </span>
        <Switch label={`${name} used`} isOn={own.on} change={(on) => change({ on })} />
        <Button
          tone="quiet"
          className="px-2 py-1 text-[13px]"
          aria-expanded={isOpen}
          aria-label={`Change ${name}`}
          onClick={() => setOpen(!isOpen)}
        >
          {isOpen ? 'Done' : 'Change'}
        </Button>
        <IconButton label={`Remove ${name}`} onClick={remove}>
          <Trash2 size={15} aria-hidden />
        </IconButton>
      </div>
      {isOpen && (
        <div className="mt-1.5 mb-4 space-y-2.5 ps-8 text-[13px]">
          <span className="inline-flex items-center gap-1.5">
            Called
            <TextField
              label={`What the card “${name}” is called`}
              value={name}
              maxLength={longest.label}
              change={(called) => change({ name: called })}
            />
          </span>
          <div>
            <p className="mb-1 font-semibold">For products for which</p>
            <ConditionEditor value={own.condition} change={(next) => change({ condition: next })} />
            <ConditionMet condition={own.condition} />
          </div>
          <CardPieces
            card={own.card}
            name={name}
            example={example}
            isChanged={(of) => isChanged((earlier) => of(earlier?.card))}
            save={save}
          />
        </div>
      )}
    </>
  );
}
