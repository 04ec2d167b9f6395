import { useState } from 'react';
import { longestName, longestNote } from '../../../../api/limits.ts';
import type { DraftRow } from '../../../../api/storefrontEndpoints.ts';
import { liveOf, nameOf } from '../../../../core/setup/setupRef.ts';
import { call } from '../../../client/call.ts';
import { Button } from '../../parts/Button.tsx';
import { Choice } from '../../parts/Controls.tsx';
import { goTo, usePlace } from '../../state/place.ts';
import { arrange } from '../../state/storefronts.ts';

/** A name, what it begins from, and a note: a draft of one's own, in which one is at once. */
export function BeginDraft({
  drafts,
  live,
  close,
}: {
  readonly drafts: readonly DraftRow[];
  readonly live: number | null;
  close(): void;
}) {
  const { storefront, draft } = usePlace();
  const isLive = nameOf(liveOf(storefront));
  const [name, setName] = useState('');
  const [note, setNote] = useState('');
  const [from, setFrom] = useState(isLive);
  const [isBusy, setBusy] = useState(false);
  const older = Array.from({ length: Math.max(0, (live ?? 1) - 1) }, (_, at) => (live ?? 1) - 1 - at);
  const sources: (readonly [string, string])[] = [
    [isLive, `What shoppers get now, release ${live ?? 1}`],
    ...drafts.map(({ id, name: called }): readonly [string, string] => [
      nameOf({ storefront, draft: id }),
      id === draft ? `This draft, ${called}` : `The draft ${called}`,
    ]),
    ...older.map((release): readonly [string, string] => [nameOf({ storefront, release }), `Release ${release}`]),
  ];
  const begin = async (): Promise<void> => {
    setBusy(true);
    const begun = await arrange(() => call('beginDraft', { body: { name, note, from } }), 'The draft was not begun');
    setBusy(false);
    if (begun) void goTo({ storefront, draft: begun.id }, '/attributes');
  };
  return (
    <form
      aria-label="Begin a draft"
      className="mb-4 rounded-lg border bg-surface p-4"
      onSubmit={(event) => {
        event.preventDefault();
        void begin();
      }}
    >
      <div className="grid grid-cols-[auto_minmax(0,1fr)] items-center gap-x-3 gap-y-2">
        <label htmlFor="draft-name" className="text-[13px]">
          Name
        </label>
        <input
          id="draft-name"
          // biome-ignore lint/a11y/noAutofocus: the form was asked for, and its name is what comes first
          autoFocus
          required
          maxLength={longestName}
          placeholder="as in Winter season"
          className="rounded-md border bg-surface px-2 py-[3px] placeholder:text-soft hover:border-edge"
          value={name}
          onChange={(event) => setName(event.target.value)}
        />
        <span className="text-[13px]">Begins from</span>
        <Choice label="Begins from" value={from} options={sources} change={setFrom} className="w-full" />
        <label htmlFor="draft-note" className="text-[13px]">
          Note
        </label>
        <input
          id="draft-note"
          maxLength={longestNote}
          placeholder="what it is for, if you like"
          className="rounded-md border bg-surface px-2 py-[3px] placeholder:text-soft hover:border-edge"
          value={note}
          onChange={(event) => setNote(event.target.value)}
        />
      </div>
      <p className="mt-2 text-[13px] text-soft">
        Nothing in it reaches shoppers before it is published. What others publish meanwhile you take over by merging.
      </p>
      <div className="mt-3 flex justify-end gap-2">
        <Button onClick={close}>Cancel</Button>
        <Button type="submit" tone="strong" disabled={isBusy || name.trim() === ''}>
          Begin it
        </Button>
      </div>
    </form>
  );
}
