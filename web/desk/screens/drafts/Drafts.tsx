import { useState } from 'react';
import { Link } from 'react-router';
import { toast } from 'sonner';
import { longestName, longestNote } from '../../../../api/limits.ts';
import type { DraftRow } from '../../../../api/storefrontEndpoints.ts';
import { nameOf } from '../../../../core/setup/setupRef.ts';
import { call } from '../../../client/call.ts';
import { ago, dayAndTime } from '../../../look/dates.ts';
import { counted } from '../../../look/price.ts';
import { Button } from '../../parts/Button.tsx';
import { TextField } from '../../parts/Controls.tsx';
import { ListScreen } from '../../parts/ListScreen.tsx';
import { Section, shelfRow } from '../../parts/Screen.tsx';
import { bringUpTo } from '../../shell/BehindNotice.tsx';
import { goTo, usePlace } from '../../state/place.ts';
import { arrange, useDrafts } from '../../state/storefronts.ts';
import { BeginDraft } from './BeginDraft.tsx';
import { Previews } from './Previews.tsx';

/** Watch: plans that are under way at the same time, each in a draft of its own. */
export function Drafts() {
  const query = useDrafts();
  const open = query.data?.drafts.filter(({ removedAt }) => removedAt === null) ?? [];
  const out = query.data?.drafts.filter(({ removedAt }) => removedAt !== null) ?? [];
  return (
    <ListScreen
      title="Drafts"
      intro="Plans that are under way at the same time: a season that is being prepared, a dead end that is mended today. Each has its own undo and its own address."
      query={query}
      loading="Reading the drafts"
      make={{
        label: 'Begin a draft',
        parameter: 'begin',
        form: ({ live }, close) => <BeginDraft drafts={open} live={live} close={close} />,
      }}
      list={() => open.map((draft) => <Draft key={draft.id} draft={draft} isOnly={open.length === 1} />)}
    >
      <Previews />
      {out.length > 0 && (
        <Section title="Taken out" note="Nobody finds these any more; all that was in them is kept.">
          <ul className="space-y-1">
            {out.map(({ id, name, removedAt }) => (
              <li key={id} className="flex items-center gap-3 rounded-md bg-surface px-3 py-1.5">
                <span className="min-w-0 flex-1 truncate">{name}</span>
                <span className="text-[12.5px] text-soft">taken out {ago(new Date(removedAt!))}</span>
                <Button
                  tone="quiet"
                  onClick={() =>
                    void arrange(() => call('putBackDraft', { body: { draft: id } }), 'It was not put back')
                  }
                >
                  Put back<span className="sr-only"> {name}</span>
                </Button>
              </li>
            ))}
          </ul>
        </Section>
      )}
    </ListScreen>
  );
}

/** Takes a draft out, with a way back in the message. */
async function takeOut({ id, name }: DraftRow): Promise<void> {
  const done = await arrange(() => call('takeOutDraft', { body: { draft: id } }), 'It was not taken out');
  if (!done) return;
  toast(`“${name}” is taken out`, {
    action: {
      label: 'Put back',
      onClick: () => void arrange(() => call('putBackDraft', { body: { draft: id } }), 'It was not put back'),
    },
  });
}

function Draft({ draft, isOnly }: { readonly draft: DraftRow; readonly isOnly: boolean }) {
  const { storefront, draft: here } = usePlace();
  const isHere = draft.id === here;
  const [isNaming, setNaming] = useState(false);
  const save = (name: string, note: string): void =>
    void arrange(() => call('nameDraft', { body: { draft: draft.id, name, note } }), 'It was not renamed');
  return (
    <li className={`${shelfRow(false)} px-3 py-2.5`}>
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
        {isNaming ? (
          <TextField
            label={`Name of the draft ${draft.name}`}
            className="min-w-0 flex-1 font-semibold"
            maxLength={longestName}
            value={draft.name}
            change={(name) => save(name, draft.note)}
          />
        ) : (
          <span className="min-w-0 truncate font-semibold">{draft.name}</span>
        )}
        {isHere && (
          <span className="rounded bg-press-soft px-2 py-0.5 font-semibold text-[12.5px] text-press">
            you work in it
          </span>
        )}
        <span className="text-[12.5px] text-soft">
          {draft.changes === 0 ? 'no changes' : counted(draft.changes, 'change')}
          {draft.base !== null && ` since release ${draft.base}`}
        </span>
        <span className="ml-auto text-[12.5px] text-soft" title={dayAndTime(new Date(draft.touchedAt))}>
          begun by {draft.who}, touched {ago(new Date(draft.touchedAt))}
        </span>
      </div>
      {isNaming ? (
        <TextField
          label={`Note about the draft ${draft.name}`}
          placeholder="a note, if you like"
          className="mt-1 w-full"
          maxLength={longestNote}
          mayBeEmpty
          value={draft.note}
          change={(note) => save(draft.name, note)}
        />
      ) : (
        draft.note && <p className="mt-0.5">{draft.note}</p>
      )}
      {draft.isLeftAlone && !isHere && (
        <p className="mt-0.5 text-[13px] text-on-changed">
          Nobody has changed anything in it for three months. If it has had its day, take it out.
        </p>
      )}
      <div className="mt-1.5 -ml-2 flex flex-wrap items-center gap-x-1">
        {!isHere && (
          <>
            <Button
              tone="quiet"
              className="px-2 py-1"
              onClick={() => void goTo({ storefront, draft: draft.id }, '/attributes')}
            >
              Work in it
            </Button>
            <Link
              to={`/drafts/merge?from=${encodeURIComponent(nameOf({ storefront, draft: draft.id }))}`}
              className="inline-flex items-center rounded-lg px-2 py-1 font-semibold text-press hover:bg-press-soft"
            >
              Merge into yours
              <span className="sr-only">: {draft.name}</span>
            </Link>
          </>
        )}
        {isHere && draft.isBehind && (
          <Link
            to={bringUpTo(storefront)}
            className="inline-flex items-center rounded-lg px-2 py-1 font-semibold text-press hover:bg-press-soft"
          >
            Bring it up to what is live
          </Link>
        )}
        <Button tone="quiet" className="px-2 py-1" aria-expanded={isNaming} onClick={() => setNaming(!isNaming)}>
          {isNaming ? 'Done' : 'Rename'}
          <span className="sr-only"> {draft.name}</span>
        </Button>
        {!isHere && !isOnly && (
          <Button tone="quiet" className="px-2 py-1" onClick={() => void takeOut(draft)}>
            Take out<span className="sr-only"> {draft.name}</span>
          </Button>
        )}
      </div>
    </li>
  );
}
