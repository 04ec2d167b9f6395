import { ArrowDown, ArrowUp } from 'lucide-react';
import type { MoveTold } from '../../../../api/effectEndpoints.ts';
import { counted } from '../../../look/price.ts';
import { useDeskState } from '../../state/deskState.ts';
import { useTrial } from '../../state/trial.ts';
import { effectInWords, moveInWords } from './tellEffect.ts';
import { useEffectOfDraft } from './useEffectOfDraft.ts';

/** Hangs at the foot of the screen: what the unpublished changes do to the searches shoppers make most. */
export function EffectStrip() {
  const { changes } = useDeskState();
  const { data, error, isFetching, isPlaceholderData } = useEffectOfDraft();
  const search = useTrial((state) => state.search);
  const sentences = changes.flatMap((change) => change.sentences);
  if (changes.length === 0) return null;
  const what = sentences.length === 1 ? sentences[0]! : `${counted(changes.length, 'change')} not yet published`;
  const isOld = isFetching || isPlaceholderData;
  return (
    <aside
      aria-label="Effect on shoppers’ searches"
      className="sticky -bottom-10 z-10 mt-6 -mb-10 rounded-t-lg border-changed border-t-[3px] bg-changed-soft px-3.5 py-2.5 text-[13.5px] text-on-changed shadow-[0_-6px_16px_-10px_rgb(0_0_0/0.35)]"
    >
      <p role="status">
        <b className="font-semibold">{what}.</b>{' '}
        {error && !data
          ? `What that does could not be worked out. ${error.message}`
          : !data
            ? 'Looking through the searches made most …'
            : effectInWords(data)}
        {data && isOld && <span className="opacity-75"> Looking again …</span>}
      </p>
      {data && data.moves.length > 0 && (
        <ul className={`mt-1 space-y-0.5 ${isOld ? 'opacity-60' : ''}`}>
          {data.moves.slice(0, 3).map((move) => (
            <li key={move.search} className="flex items-baseline gap-1.5 text-[13px]">
              <Arrow move={move} />
              <button
                type="button"
                className="shrink-0 font-semibold underline"
                title={`Made ${counted(move.searches, 'time')}; try it`}
                onClick={() => search(move.search)}
              >
                {move.search}
              </button>
              <span className="min-w-0 truncate" title={move.title}>
                {move.title}
              </span>
              <span className="ml-auto shrink-0">{moveInWords(move)}</span>
            </li>
          ))}
        </ul>
      )}
    </aside>
  );
}

function Arrow({ move: { from, to } }: { readonly move: MoveTold }) {
  const isUp = from === null || (to !== null && from > to);
  const Icon = isUp ? ArrowUp : ArrowDown;
  return <Icon size={12} strokeWidth={2.6} aria-hidden className="shrink-0 translate-y-px" />;
}
