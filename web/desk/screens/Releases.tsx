import { useQuery } from '@tanstack/react-query';
import { AlertDialog } from 'radix-ui';
import { useState } from 'react';
import type { ReleaseRow } from '../../../api/endpoints.ts';
import { call } from '../../client/call.ts';
import { ago, dayAndTime } from '../../look/dates.ts';
import { counted } from '../../look/price.ts';
import { Button } from '../parts/Button.tsx';
import { Loading, LoadProblem, ScreenHead, shelfRow } from '../parts/Screen.tsx';
import { publishAgain } from '../state/edits.ts';

const sentencesShown = 6;

/** Watch: what was published, when and by whom; any of it can be made live again in one step. */
export function Releases() {
  const { data, error, refetch } = useQuery({
    queryKey: ['desk', 'releases'],
    queryFn: ({ signal }) => call('releases', { signal }),
  });
  return (
    <>
      <ScreenHead title="Releases">
        Everything that was published. A release is never changed again; any of them can be made live again in one step.
      </ScreenHead>
      {error && !data ? (
        <LoadProblem error={error} again={refetch} />
      ) : !data ? (
        <Loading what="Reading the releases" />
      ) : (
        <ol className="space-y-[5px]">
          {data.releases.map((release) => (
            <Release key={release.number} release={release} />
          ))}
        </ol>
      )}
    </>
  );
}

function Release({ release }: { readonly release: ReleaseRow }) {
  const at = new Date(release.at);
  return (
    <li className={`${shelfRow(false)} px-3 py-2.5`}>
      <div className="flex items-center gap-3">
        <span className="font-semibold">Release {release.number}</span>
        {release.live && (
          <span className="rounded bg-press-soft px-2 py-0.5 font-semibold text-[12.5px] text-press">live</span>
        )}
        <span className="text-[12.5px] text-soft" title={dayAndTime(at)}>
          {ago(at)} by {release.who}
        </span>
        <span className="ml-auto">{!release.live && <Again number={release.number} />}</span>
      </div>
      {release.note && <p className="mt-1">{release.note}</p>}
      <Sentences sentences={release.sentences} number={release.number} />
    </li>
  );
}

/** What a release changed: its first sentences, and all of them on request. */
function Sentences({ sentences, number }: { readonly sentences: readonly string[]; readonly number: number }) {
  const [isOpen, setOpen] = useState(false);
  const shown = isOpen ? sentences : sentences.slice(0, sentencesShown);
  return (
    <>
      <ul className="mt-1 max-h-[360px] overflow-y-auto text-[13px] text-soft">
        {shown.map((sentence) => (
          <li key={sentence}>{sentence}.</li>
        ))}
      </ul>
      {sentences.length > sentencesShown && (
        <Button
          tone="quiet"
          className="mt-1 px-1.5 py-0.5 text-[13px]"
          aria-expanded={isOpen}
          onClick={() => setOpen(!isOpen)}
        >
          {isOpen ? 'Show fewer' : `Show all ${counted(sentences.length, 'change')}`}
          <span className="sr-only"> of release {number}</span>
        </Button>
      )}
    </>
  );
}

function Again({ number }: { readonly number: number }) {
  return (
    <AlertDialog.Root>
      <AlertDialog.Trigger asChild>
        <Button tone="quiet">Make live again</Button>
      </AlertDialog.Trigger>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 z-40 bg-black/40" />
        <AlertDialog.Content className="fixed top-[20vh] left-1/2 z-50 w-[min(92vw,460px)] -translate-x-1/2 rounded-xl border bg-surface p-5 shadow-2xl">
          <AlertDialog.Title className="font-display font-semibold text-lg">
            Make release {number} live again?
          </AlertDialog.Title>
          <AlertDialog.Description className="mt-1 text-soft">
            Shoppers get it at once, as a new release. Your draft stays as it is, and the release that is live now can
            be brought back the same way.
          </AlertDialog.Description>
          <div className="mt-4 flex justify-end gap-2">
            <AlertDialog.Cancel asChild>
              <Button>Cancel</Button>
            </AlertDialog.Cancel>
            <AlertDialog.Action asChild>
              <Button tone="strong" onClick={() => void publishAgain(number)}>
                Make it live
              </Button>
            </AlertDialog.Action>
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  );
}
