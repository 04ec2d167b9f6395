import { type ReactNode, useState } from 'react';
import type { Card } from '../../../../core/answer/answer.ts';
import type { CardArrangement } from '../../../../core/setup/parts/resultsPage/card.ts';
import type { OwnCard } from '../../../../core/setup/parts/resultsPage/ownCards.ts';
import { longest } from '../../../../core/setup/terms/limits.ts';
import { TextField } from '../../parts/Controls.tsx';
import { ConditionEditor } from '../../parts/condition/ConditionEditor.tsx';
import { ConditionMet } from '../../parts/condition/ConditionMet.tsx';
import { shelfRow } from '../../parts/Screen.tsx';
import { CardPieces } from './CardPieces.tsx';
import { ConditionedHead } from './ConditionedHead.tsx';

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
  const save = (of: Partial<CardArrangement>): void => change({ card: { ...own.card, ...of } });
  return (
    <>
      <div className={`${shelfRow(isChanged((of) => of))} py-1.5 pr-2 pl-2 text-[13px]`}>
        <ConditionedHead
          of={own}
          name={name}
          switchLabel={`${name} used`}
          setOn={(on) => change({ on })}
          {...{ grip, isOpen, setOpen, remove }}
        >
          <b className="truncate font-semibold">{name}</b>
        </ConditionedHead>
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
