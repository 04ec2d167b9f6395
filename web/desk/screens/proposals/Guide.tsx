import { Check } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { counted } from '../../../look/price.ts';
import { shelfRow } from '../../parts/Screen.tsx';
import { useCatalog } from '../../state/catalog.ts';
import { useDeskState } from '../../state/deskState.ts';
import { useTrial } from '../../state/trial.ts';

/** The few steps from a dropped file to a published search, with those that are done ticked off. */
export function Guide({ open }: { readonly open: number | null }) {
  const { data: catalog } = useCatalog();
  const { changes, release } = useDeskState();
  const { recent, query } = useTrial();
  const [isShut, setShut] = useState(() => localStorage.getItem('clever-shelf.guide') === 'shut');
  if (isShut) return null;
  const hasOwn = catalog !== undefined && catalog.file !== '' && catalog.records > 0;
  const steps: readonly (readonly [boolean, string, string, string])[] = [
    [hasOwn, '/catalog/bring-in', 'Import a catalog', hasOwn ? `${catalog.file} is in the shop` : 'drop your file'],
    [
      open === 0,
      '/proposals',
      'Look at what is proposed',
      open === null ? '' : open === 0 ? 'nothing is left open' : `${open} open below`,
    ],
    [
      query !== '' || recent.length > 0,
      '/relevance',
      'Try a search of your shoppers',
      query ? `“${query}” is in the window` : 'in the top bar',
    ],
    [
      changes.length === 0,
      '/releases',
      'Publish',
      changes.length === 0
        ? `release ${release?.number ?? 1} is live`
        : `${counted(changes.length, 'change')} to publish`,
    ],
  ];
  return (
    <section aria-label="From a file to a published search" className={`${shelfRow(false)} mb-4 px-3 py-2.5`}>
      <div className="flex items-baseline justify-between">
        <h2 className="font-display font-semibold text-[14.5px]">From a file to a published search</h2>
        <button
          type="button"
          className="text-[12.5px] text-soft hover:underline"
          onClick={() => {
            localStorage.setItem('clever-shelf.guide', 'shut');
            setShut(true);
          }}
        >
          Do not show this
        </button>
      </div>
      <ol className="mt-1.5 space-y-1">
        {steps.map(([isDone, to, label, note], index) => (
          <li key={label} className="flex items-center gap-2">
            <span
              className={`grid size-5 shrink-0 place-items-center rounded-full border text-[12px] ${isDone ? 'border-press bg-press text-on-press' : ''}`}
            >
              {isDone ? <Check size={12} aria-label="done" /> : index + 1}
            </span>
            <Link to={to} className="text-press hover:underline">
              {label}
            </Link>
            <span className="text-[12.5px] text-soft">{note}</span>
          </li>
        ))}
      </ol>
    </section>
  );
}
