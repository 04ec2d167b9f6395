import { SlidersHorizontal } from 'lucide-react';
import { useId, useState } from 'react';
import { Link } from 'react-router';
import type { AttributeRow } from '../../../../api/endpoints.ts';
import type { AttributeSetting } from '../../../../core/setup/parts/attributes.ts';
import { NumberField, Switch } from '../../parts/Controls.tsx';
import { Nothing, Section, shelfRow } from '../../parts/Screen.tsx';
import { useRestingOrder } from '../../parts/useRestingOrder.ts';
import { WeightSlider } from '../../parts/WeightSlider.tsx';
import { byWeight, setAttribute } from '../../state/attributes.ts';
import { useChanged } from '../../state/changed.ts';
import { useDeskState } from '../../state/deskState.ts';

/** How much each attribute counts, and how words are found in it. */
export function Weights({ attributes }: { readonly attributes: readonly AttributeRow[] }) {
  const changed = useChanged('attributes');
  const read = attributes.filter((row) => row.searchable).sort(byWeight);
  const { rows, list } = useRestingOrder(read);
  const heaviest = Math.max(10, ...read.map(({ weight }) => weight));
  return (
    <Section
      title="Where words are found"
      note={
        <>
          Drag a bar, or use the arrow keys on it. Which attributes the search reads is set under{' '}
          <Link to="/attributes" className="text-press underline">
            Attributes
          </Link>
          .
        </>
      }
    >
      {read.length === 0 ? (
        <Nothing>The search reads no attribute. Switch one on under Attributes.</Nothing>
      ) : (
        <ul className="space-y-[5px]" aria-label="Attributes by weight" {...list}>
          {rows.map((row) => (
            <WeightRow key={row.key} row={row} most={heaviest} isChanged={changed(row.key)} />
          ))}
        </ul>
      )}
    </Section>
  );
}

type Way = 'early' | 'whole' | 'forms' | 'prefixes' | 'corrections';
interface WayShown {
  readonly way: Way;
  readonly usual: boolean;
  readonly label: string;
  readonly note: string;
  /** What a row says of itself where the setting is not the usual one. */
  readonly text: string;
}
const ways: readonly WayShown[] = [
  {
    way: 'early',
    usual: false,
    label: 'Early words count more',
    note: 'A word at the beginning counts full, the fourth four fifths, late ones at least three fifths.',
    text: 'early words count more',
  },
  {
    way: 'whole',
    usual: false,
    label: 'Only whole values count',
    note: '“sea” does not find “Sea green” here; “sea green” does.',
    text: 'whole values only',
  },
  {
    way: 'forms',
    usual: true,
    label: 'Other forms of a word',
    note: '“brushes” finds “brush”.',
    text: 'no other forms',
  },
  {
    way: 'prefixes',
    usual: true,
    label: 'Beginnings of words',
    note: '“water” finds “watercolour” while the shopper types.',
    text: 'no beginnings',
  },
  {
    way: 'corrections',
    usual: true,
    label: 'Typos',
    note: '“gauche” finds “gouache”, where typos are corrected at all.',
    text: 'no corrections',
  },
];

function WeightRow({
  row,
  most,
  isChanged,
}: {
  readonly row: AttributeRow;
  readonly most: number;
  readonly isChanged: boolean;
}) {
  const { setup } = useDeskState();
  const [isOpen, setOpen] = useState(false);
  const id = useId();
  const setting: AttributeSetting = setup.attributes[row.key] ?? row;
  const isCode = row.kind === 'code';
  const offered = ways.filter(({ way }) => !isCode || way === 'prefixes');
  const unusual = offered.filter(({ way, usual }) => (setting[way] ?? usual) !== usual);
  return (
    <li className={`${shelfRow(isChanged)} py-1.5 pr-2 pl-3`}>
      <div className="grid grid-cols-[minmax(0,150px)_1fr_66px_28px] items-center gap-x-3 max-[519px]:grid-cols-[minmax(0,92px)_1fr_62px_28px] max-[519px]:gap-x-2">
        <span className="min-w-0">
          <span className="block truncate">{row.label}</span>
          {unusual.length > 0 && (
            <span className="block text-[12.5px] text-soft leading-tight">
              {unusual.map(({ text }) => text).join(', ')}
            </span>
          )}
        </span>
        <WeightSlider
          label={`Weight of ${row.label}`}
          value={row.weight}
          most={most}
          isChanged={isChanged}
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
        <button
          type="button"
          aria-label={`How words are found in ${row.label}`}
          title={`How words are found in ${row.label}`}
          aria-expanded={isOpen}
          aria-controls={id}
          className={`rounded-md p-1.5 ${isOpen ? 'bg-press-soft text-press' : 'text-soft hover:text-ink'}`}
          onClick={() => setOpen(!isOpen)}
        >
          <SlidersHorizontal size={15} aria-hidden />
        </button>
      </div>
      <div id={id} hidden={!isOpen} className="mt-1.5 border-line border-t pt-2 pb-1">
        {isCode && (
          <p className="mb-1.5 text-[12.5px] text-soft">
            Found however it is split (WU-2041B, wu 2041 b), never in another form and never corrected.
          </p>
        )}
        <ul className="grid gap-1.5">
          {offered.map(({ way, usual, label, note }) => (
            <li key={way}>
              <Switch
                label={`${label} in ${row.label}`}
                isOn={setting[way] ?? usual}
                change={(on) => setAttribute(row, { [way]: on === usual ? undefined : on })}
                shown={
                  <>
                    {label} <span className="text-soft">{note}</span>
                  </>
                }
              />
            </li>
          ))}
        </ul>
      </div>
    </li>
  );
}
