import { Plus } from 'lucide-react';
import { useState } from 'react';
import type { Card } from '../../../../core/answer/answer.ts';
import { idFor } from '../../../../core/setup/idFor.ts';
import type { OwnCard, OwnCards as OwnCardList } from '../../../../core/setup/parts/resultsPage/ownCards.ts';
import { mostOwnCards } from '../../../../core/setup/terms/cardTerms.ts';
import { longest } from '../../../../core/setup/terms/limits.ts';
import { Button } from '../../parts/Button.tsx';
import { TextField } from '../../parts/Controls.tsx';
import { ConditionEditor } from '../../parts/condition/ConditionEditor.tsx';
import { Nothing, Section } from '../../parts/Screen.tsx';
import { SortableList } from '../../parts/SortableList.tsx';
import { useItemChanged } from '../../state/changed.ts';
import { useDeskState } from '../../state/deskState.ts';
import { edit } from '../../state/edits.ts';
import { OwnCardRow } from './OwnCardRow.tsx';

/** Cards of their own, for products that meet a condition. */
export function OwnCards({ exampleOf }: { exampleOf(ownCard: string): Card | null | undefined }) {
  const { ownCards } = useDeskState().setup.resultsPage;
  const isChanged = useItemChanged('resultsPage', 'ownCards');
  const { list } = ownCards;
  const save = (next: readonly OwnCard[]): void =>
    void edit({ part: 'resultsPage', key: 'ownCards', value: { list: [...next] } });
  const move = (from: number, to: number): void => {
    const next = [...list];
    next.splice(to, 0, ...next.splice(from, 1));
    save(next);
  };
  const ownIn = (entry: unknown, key: string): OwnCard | undefined =>
    (entry as OwnCardList | null)?.list.find((own) => own.key === key);
  return (
    <Section
      title="Cards of their own"
      note="Products that meet a condition have another card: each by the variant it shows, and of several cards the first that fits."
    >
      {list.length === 0 && <Nothing>All products have the card above.</Nothing>}
      <SortableList
        label="Cards of their own, in order"
        items={list.map((own) => ({ id: own.key, name: own.name, own }))}
        move={(_, from, to) => move(from, to)}
      >
        {({ own }, grip) => (
          <OwnCardRow
            own={own}
            example={exampleOf(own.key)}
            grip={grip}
            isChanged={(of) => isChanged((entry) => of(ownIn(entry, own.key)))}
            change={(change) => save(list.map((each) => (each.key === own.key ? { ...each, ...change } : each)))}
            remove={() => save(list.filter(({ key }) => key !== own.key))}
          />
        )}
      </SortableList>
      <NewCard list={list} add={(own) => save([...list, own])} />
    </Section>
  );
}

/** Begins a card of its own as the usual one is, to be changed from there. */
function NewCard({ list, add }: { readonly list: readonly OwnCard[]; add(own: OwnCard): void }) {
  const { card } = useDeskState().setup.resultsPage;
  const [isOpen, setOpen] = useState(false);
  const [name, setName] = useState('');
  if (list.length >= mostOwnCards)
    return <p className="mt-3 text-[13px] text-soft">There are as many as there may be.</p>;
  return (
    <div className="mt-3 text-[13px]">
      <Button className="py-1 text-[13px]" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
        <Plus size={14} aria-hidden /> Another card for some products …
      </Button>
      {isOpen && (
        <div className="mt-2.5 space-y-2">
          <span className="inline-flex items-center gap-1.5">
            Called
            <TextField
              label="What the new card is called"
              value={name}
              mayBeEmpty
              maxLength={longest.label}
              change={setName}
            />
          </span>
          {name === '' ? (
            <p className="text-soft">Say what it is called, and then which products have it.</p>
          ) : (
            <ConditionEditor
              value={null}
              change={(condition) => {
                const key = idFor(name, (taken) => list.some((own) => own.key === taken));
                add({ key, name, on: true, condition, card });
                setOpen(false);
                setName('');
              }}
            />
          )}
        </div>
      )}
    </div>
  );
}
