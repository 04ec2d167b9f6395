import { ArrowDown, ArrowUp, ChevronDown, ChevronUp } from 'lucide-react';
import { useLocation } from 'react-router';
import type { DescribedMove, effectEndpoints } from '../../../../api/effectEndpoints.ts';
import type { AnswerOf } from '../../../../api/endpoint.ts';
import { count, counted } from '../../../look/price.ts';
import { IconButton } from '../../parts/Button.tsx';
import { useDeskState } from '../../state/deskState.ts';
import { useEffectFolded } from '../../state/effectFolded.ts';
import { useTrial } from '../../state/trial.ts';
import { effectInWords, moveInWords } from './tellEffect.ts';
import { useEffectOfDraft } from './useEffectOfDraft.ts';

/** Screens on which nothing is edited that moves results. */
const without = [
  ...['/demand', '/releases', '/history', '/drafts', '/drafts/merge', '/storefronts'],
  ...['/catalog/bring-in', '/catalog/reading', '/catalog/feed'],
];

/** Hangs at the foot of the screen: what the unpublished changes do to the searches shoppers make most. */
export function EffectStrip() {
  const { changes } = useDeskState();
  const { pathname } = useLocation();
  if (changes.length === 0 || without.includes(pathname)) return null;
  return <Strip />;
}

function Strip() {
  const { changes } = useDeskState();
  const { data, error, isFetching, isPlaceholderData } = useEffectOfDraft();
  const { isFolded, fold } = useEffectFolded();
  const sentences = changes.flatMap((change) => change.sentences);
  const what = sentences.length === 1 ? sentences[0]! : `${counted(changes.length, 'change')} not yet published`;
  const isOld = isFetching || isPlaceholderData;
  const hasMore = data !== undefined && data.moves.length + data.found.length > 0;
  return (
    <aside
      aria-label="Effect on shoppers’ searches"
      data-strip
      className="sticky -bottom-10 z-10 mt-6 -mb-10 rounded-t-lg border-changed border-t-[3px] bg-changed-soft px-3.5 py-2 text-[13.5px] text-on-changed shadow-[0_-6px_16px_-10px_rgb(0_0_0/0.35)]"
    >
      <div className="flex items-start gap-2">
        <p role="status" className="min-w-0 flex-1 py-0.5">
          <b className="font-semibold">{what}.</b>{' '}
          {error && !data
            ? `The effect could not be worked out. ${error.message}`
            : !data
              ? 'Comparing the most frequent searches …'
              : effectInWords(data)}
          {data && isOld && ' Comparing again …'}
        </p>
        {hasMore && (
          <IconButton
            label={isFolded ? 'Show which searches change' : 'Hide which searches change'}
            onClick={() => fold(!isFolded)}
          >
            {isFolded ? <ChevronUp size={16} aria-hidden /> : <ChevronDown size={16} aria-hidden />}
          </IconButton>
        )}
      </div>
      {hasMore && !isFolded && <Examples data={data} isOld={isOld} />}
    </aside>
  );
}

function Examples({
  data,
  isOld,
}: {
  readonly data: AnswerOf<(typeof effectEndpoints)['effect']>;
  readonly isOld: boolean;
}) {
  return (
    <ul className={`mt-0.5 space-y-0.5 text-[13px] ${isOld ? 'italic' : ''}`}>
      {data.found.slice(0, 2).map(({ search, searches, from, to }) => (
        <li key={`found ${search}`} className="flex items-baseline gap-1.5">
          <Arrow isUp={to > from} />
          <TrySearch search={search} searches={searches} />
          <span className="ml-auto shrink-0">
            {count(from)} to {counted(to, 'product')}
          </span>
        </li>
      ))}
      {data.moves.slice(0, data.found.length > 0 ? 1 : 3).map((move) => (
        <li key={`move ${move.search}`} className="flex items-baseline gap-1.5">
          <Arrow isUp={rises(move)} />
          <TrySearch search={move.search} searches={move.searches} />
          <span className="min-w-0 truncate" title={move.title}>
            {move.title}
          </span>
          <span className="ml-auto shrink-0">{moveInWords(move)}</span>
        </li>
      ))}
    </ul>
  );
}

const rises = ({ from, to }: DescribedMove): boolean => from === null || (to !== null && from > to);

function TrySearch({ search, searches }: { readonly search: string; readonly searches: number }) {
  const tryIt = useTrial((state) => state.search);
  return (
    <button
      type="button"
      className="min-h-6 shrink-0 font-semibold underline"
      title={`Made ${counted(searches, 'time')}. Try it in the shop window.`}
      onClick={() => tryIt(search)}
    >
      {search}
    </button>
  );
}

function Arrow({ isUp }: { readonly isUp: boolean }) {
  const Icon = isUp ? ArrowUp : ArrowDown;
  return <Icon size={12} strokeWidth={2.6} aria-hidden className="shrink-0 translate-y-px" />;
}
