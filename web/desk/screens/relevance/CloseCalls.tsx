import { X } from 'lucide-react';
import type { ReactNode } from 'react';
import type { TieBreaker } from '../../../../core/setup/parts/relevance/tieBreakers.ts';
import { most } from '../../../../core/setup/terms/limits.ts';
import { counted } from '../../../look/price.ts';
import { IconButton } from '../../parts/Button.tsx';
import { Choice, NumberField } from '../../parts/Controls.tsx';
import { Nothing, Section, shelfRow } from '../../parts/Screen.tsx';
import { SortableList } from '../../parts/SortableList.tsx';
import { useEffectOfDraft } from '../../shell/effect/useEffectOfDraft.ts';
import { useAttributes } from '../../state/attributes.ts';
import { useChanged, useItemChanged } from '../../state/changed.ts';
import { useDeskState } from '../../state/deskState.ts';
import { edit } from '../../state/edits.ts';
import { DecidedPlaces } from './DecidedPlaces.tsx';
import { directions, signalChoices, signalId } from './signalChoices.ts';

/** How near two scores must be for the business to decide, and what decides then, in order. */
export function CloseCalls() {
  const { setup } = useDeskState();
  const changed = useChanged('relevance');
  const { width } = setup.relevance.closeCall;
  return (
    <Section
      title="Close calls"
      note="Products with nearly the same score are treated as equally relevant, and tie-breakers decide their order."
    >
      <div className={`${shelfRow(changed('closeCall'))} flex flex-wrap items-center gap-x-3 gap-y-1 px-3 py-2`}>
        <span>Products within</span>
        <NumberField
          label="Width of a close call, in points"
          value={width}
          least={0}
          most={most.closeCall}
          step={0.5}
          change={(next) => void edit({ part: 'relevance', key: 'closeCall', value: { width: next } })}
        />
        <span>
          points of the best are treated as equally relevant <span className="text-soft">(0: only exact ties)</span>
        </span>
      </div>
      <p className="mt-3 mb-1.5 text-[13px] text-soft">Ties are decided by, in this order:</p>
      <TieBreakers />
      <DecidedPlaces />
    </Section>
  );
}

function TieBreakers() {
  const { setup } = useDeskState();
  const { attributes } = useAttributes();
  const isChanged = useItemChanged('relevance', 'tieBreakers');
  const { data: effect } = useEffectOfDraft();
  const { signals } = setup.relevance.tieBreakers;
  const choices = signalChoices(attributes ?? []);
  const nameOf = (signal: TieBreaker): string =>
    choices.find(({ id }) => id === signalId(signal))?.label ?? signal.attribute;
  const save = (next: readonly TieBreaker[]): void =>
    void edit({ part: 'relevance', key: 'tieBreakers', value: { signals: [...next] } });
  const free = choices.filter(({ id }) => !signals.some((signal) => signalId(signal) === id));
  const items = signals.map((signal, at) => ({ signal, at, id: signalId(signal), name: nameOf(signal) }));
  return (
    <>
      {items.length === 0 ? (
        <Nothing>No tie-breaker: tied products stand in order of their id.</Nothing>
      ) : (
        <SortableList
          label="Tie-breakers, the first decides first"
          items={items}
          move={(_, from, to) => {
            const next = signals.filter((__, index) => index !== from);
            next.splice(to, 0, signals[from]!);
            save(next);
          }}
        >
          {({ signal, at, name }, grip) => (
            <div
              className={`${shelfRow(isChanged((entry) => (entry as { signals: readonly TieBreaker[] }).signals[at]))} py-1.5 pr-2 pl-2`}
            >
              <div className="flex items-center gap-2">
                {grip}
                <span className="min-w-0 flex-1 font-semibold">{name}</span>
                <Choice
                  label={`Direction of ${name}`}
                  value={signal.direction}
                  options={directions(signal, attributes?.find(({ key }) => key === signal.attribute)?.kind)}
                  change={(direction) =>
                    save(signals.map((each, index) => (index === at ? { ...each, direction } : each)))
                  }
                />
                <IconButton label={`Take ${name} off`} onClick={() => save(signals.filter((_, index) => index !== at))}>
                  <X size={15} aria-hidden />
                </IconButton>
              </div>
              <SignalOption
                signal={signal}
                name={name}
                change={(next) => save(signals.map((each, index) => (index === at ? next : each)))}
              />
              {effect && effect.looked > 0 && effect.decides[at] !== undefined && (
                <p className="pl-[27px] text-[12.5px] text-soft">
                  {effect.decides[at] === 0
                    ? `Decides nothing in the ${counted(effect.looked, 'most frequent search', 'most frequent searches')}.`
                    : `Decides places in ${effect.decides[at]} of the ${counted(effect.looked, 'most frequent search', 'most frequent searches')}.`}
                </p>
              )}
            </div>
          )}
        </SortableList>
      )}
      {free.length > 0 && signals.length < most.signals && (
        <div className="mt-2">
          <Choice
            label="Add a tie-breaker"
            value=""
            options={[['', 'Add a tie-breaker …'], ...free.map(({ id, label }): [string, string] => [id, label])]}
            change={(id) => {
              const choice = free.find((each) => each.id === id);
              if (choice) save([...signals, choice.signal]);
            }}
          />
        </div>
      )}
    </>
  );
}

const Note = ({ children }: { readonly children: ReactNode }) => (
  <p className="mt-0.5 flex items-center gap-1.5 pl-[27px] text-[12.5px] text-soft">{children}</p>
);

/** What some signals have besides a direction: how much few ratings weigh, how fast newness fades, how much is enough. */
function SignalOption({
  signal,
  name,
  change,
}: {
  readonly signal: TieBreaker;
  readonly name: string;
  change(signal: TieBreaker): void;
}) {
  if (signal.pulledBy !== undefined)
    return (
      <Note>
        Add
        <NumberField
          label={`Average ratings added to ${name}`}
          value={signal.pulledBy}
          least={0}
          most={most.ratingsAdded}
          change={(pulledBy) => change({ ...signal, pulledBy })}
        />
        average ratings to each product, so that a few ratings do not decide
      </Note>
    );
  if (signal.halfLife !== undefined)
    return (
      <Note>
        Newness halves every
        <NumberField
          label={`Days in which ${name} halves`}
          value={signal.halfLife}
          least={1}
          most={most.halfLife}
          change={(halfLife) => change({ ...signal, halfLife })}
        />
        days
      </Note>
    );
  if (signal.lowBelow !== undefined)
    return (
      <Note>
        Enough is at least
        <NumberField
          label={`Stock that is enough`}
          value={signal.lowBelow}
          least={1}
          most={most.lowBelow}
          change={(lowBelow) => change({ ...signal, lowBelow })}
        />
        in stock
      </Note>
    );
  return null;
}
