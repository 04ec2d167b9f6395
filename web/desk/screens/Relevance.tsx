import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { X } from 'lucide-react';
import type { TieBreaker } from '../../../core/setup/schema.ts';
import { call } from '../../client/call.ts';
import { counted } from '../../look/price.ts';
import { IconButton } from '../parts/Button.tsx';
import { Choice, NumberField, Switch } from '../parts/Controls.tsx';
import { Loading, LoadProblem, Nothing, ScreenHead, Section, shelfRow } from '../parts/Screen.tsx';
import { SortableList } from '../parts/SortableList.tsx';
import { WeightSlider } from '../parts/WeightSlider.tsx';
import { byWeight, setAttribute, useAttributes } from '../state/attributes.ts';
import { useChanged } from '../state/changed.ts';
import { useDeskState } from '../state/deskState.ts';
import { edit } from '../state/edits.ts';
import { useTrial } from '../state/trial.ts';

/** Tune, first screen: what counts when a shopper's words are found, and what decides when it is too close to call. */
export function Relevance() {
  return (
    <>
      <ScreenHead title="Relevance">
        What counts when a shopper’s words are found, and what decides when it is too close to call.
      </ScreenHead>
      <Weights />
      <Spelling />
      <CloseCalls />
      <Decided />
    </>
  );
}

function Weights() {
  const { attributes, error, refetch } = useAttributes();
  const changed = useChanged('attributes');
  if (error && !attributes) return <LoadProblem error={error} again={refetch} />;
  if (!attributes) return <Loading what="Reading the weights" />;
  const read = attributes.filter((row) => row.searchable).sort((a, b) => a.label.localeCompare(b.label));
  const heaviest = Math.max(10, ...read.map(({ weight }) => weight));
  const order = [...read].sort(byWeight);
  // While a bar is drawn its row must stay under the hand, so rows keep the order of names, not of weight.
  return (
    <Section
      title="Where words are found"
      note={`Draw a bar, or use the arrow keys on it. ${order[0] ? `${order[0].label} counts most now.` : ''}`}
    >
      <ul className="space-y-[5px]">
        {read.map((row) => (
          <li
            key={row.key}
            className={`${shelfRow(changed(row.key))} grid grid-cols-[minmax(0,150px)_1fr_66px] items-center gap-3 py-1.5 pr-3 pl-3`}
          >
            <span className="truncate">{row.label}</span>
            <WeightSlider
              label={`Weight of ${row.label}`}
              value={row.weight}
              most={heaviest}
              isChanged={changed(row.key)}
              change={(weight) => setAttribute(row, { weight })}
            />
            <NumberField
              label={`Exact weight of ${row.label}`}
              value={row.weight}
              least={0}
              most={100}
              step={0.1}
              change={(weight) => setAttribute(row, { weight })}
            />
          </li>
        ))}
      </ul>
    </Section>
  );
}

function Spelling() {
  const { setup } = useDeskState();
  const changed = useChanged('relevance');
  const { tolerance } = setup.relevance.spelling;
  return (
    <Section title="Spelling">
      <div className={`${shelfRow(changed('spelling'))} flex items-center gap-3 px-3 py-2`}>
        <Switch
          label="Forgive slips of the finger"
          isOn={tolerance}
          change={(on) => void edit({ part: 'relevance', key: 'spelling', value: { tolerance: on } })}
          shown={
            <>
              <b className="font-semibold">Forgive slips of the finger.</b>{' '}
              <span className="text-soft">
                Words of 4 to 7 letters may have one wrong, longer ones two; swapped neighbours count as one. Numbers
                and part numbers are never corrected.
              </span>
            </>
          }
        />
      </div>
    </Section>
  );
}

function CloseCalls() {
  const { setup } = useDeskState();
  const { attributes } = useAttributes();
  const changed = useChanged('relevance');
  const { width } = setup.relevance.closeCall;
  const { signals } = setup.relevance.tieBreakers;
  const labels = new Map(attributes?.map(({ key, label }) => [key, label]));
  const save = (next: readonly TieBreaker[]) =>
    edit({ part: 'relevance', key: 'tieBreakers', value: { signals: next } });
  const items = signals.map((signal) => ({
    ...signal,
    id: signal.attribute,
    name: labels.get(signal.attribute) ?? signal.attribute,
  }));
  const free = (attributes ?? []).filter(
    (row) => (row.isNumeric || row.key === 'availability') && !signals.some(({ attribute }) => attribute === row.key),
  );
  return (
    <Section
      title="Close calls"
      note="Products whose scores are nearly the same count as tied; the business decides there."
    >
      <div className={`${shelfRow(changed('closeCall'))} flex flex-wrap items-center gap-x-3 gap-y-1 px-3 py-2`}>
        <span>Scores within</span>
        <NumberField
          label="Width of a close call, in points"
          value={width}
          least={0}
          most={100}
          step={0.5}
          change={(next) => void edit({ part: 'relevance', key: 'closeCall', value: { width: next } })}
        />
        <span>
          of the leader’s count as a tie <span className="text-soft">(of 100 points; 0: only equal scores tie)</span>
        </span>
      </div>
      <p className="mt-3 mb-1.5 text-[13px] text-soft">Then, in order:</p>
      {items.length === 0 ? (
        <Nothing>No tie-breaker: tied products stand in order of their id.</Nothing>
      ) : (
        <SortableList
          label="Tie-breakers, the first decides first"
          items={items}
          move={(_, from, to) => {
            const next = signals.filter((__, index) => index !== from);
            next.splice(to, 0, signals[from]!);
            void save(next);
          }}
        >
          {(item, grip) => (
            <div className={`${shelfRow(changed('tieBreakers'))} flex items-center gap-2 py-1.5 pr-2 pl-2`}>
              {grip}
              <span className="flex-1 font-semibold">{item.name}</span>
              <Choice
                label={`Direction of ${item.name}`}
                value={item.direction}
                options={
                  item.id === 'availability'
                    ? [
                        ['high', 'in stock first'],
                        ['low', 'sold out first'],
                      ]
                    : [
                        ['high', 'high first'],
                        ['low', 'low first'],
                      ]
                }
                change={(direction) =>
                  void save(signals.map((signal) => (signal.attribute === item.id ? { ...signal, direction } : signal)))
                }
              />
              <IconButton
                label={`Take ${item.name} off`}
                onClick={() => void save(signals.filter(({ attribute }) => attribute !== item.id))}
              >
                <X size={15} aria-hidden />
              </IconButton>
            </div>
          )}
        </SortableList>
      )}
      {free.length > 0 && signals.length < 12 && (
        <div className="mt-2">
          <Choice
            label="Add a tie-breaker"
            value=""
            options={[['', 'Add a tie-breaker …'], ...free.map(({ key, label }): [string, string] => [key, label])]}
            change={(attribute) => {
              if (attribute) void save([...signals, { attribute, direction: attribute === 'price' ? 'low' : 'high' }]);
            }}
          />
        </div>
      )}
    </Section>
  );
}

/** How the places of the trial search's first page came about: the effect of all the above, not its numbers. */
function Decided() {
  const { revision } = useDeskState();
  const query = useTrial((state) => state.query);
  const { attributes } = useAttributes();
  const { data } = useQuery({
    queryKey: ['desk', 'decided', query, revision],
    placeholderData: keepPreviousData,
    queryFn: ({ signal }) => call('deskSearch', { query: { q: query, explain: '1' }, signal }),
  });
  if (!data || data.results.length === 0) return null;
  const tally = new Map<string, number>();
  for (const { why } of data.results) {
    const by = why!.pin ? 'pin' : why!.exactSku ? 'sku' : (why!.closeCall?.decidedBy ?? 'score');
    tally.set(by, (tally.get(by) ?? 0) + 1);
  }
  const name = (by: string): string => {
    if (by === 'score') return 'by relevance';
    if (by === 'pin') return 'by a pin';
    if (by === 'sku') return 'by an exact part number';
    if (by === 'id') return 'by id, all else being equal';
    return `by ${attributes?.find(({ key }) => key === by)?.label ?? by}`;
  };
  const parts = [...tally].sort((a, b) => b[1] - a[1]).map(([by, places]) => `${places} ${name(by)}`);
  return (
    <p role="status" className="mt-6 rounded-lg bg-changed-soft px-3.5 py-2.5 text-[13.5px] text-on-changed">
      For {query ? `“${query}”` : 'everything'}, {counted(data.results.length, 'place')} on the first page were decided:{' '}
      {parts.join(', ')}.
    </p>
  );
}
