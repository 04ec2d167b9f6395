import { useQuery } from '@tanstack/react-query';
import { Download, FileUp } from 'lucide-react';
import { type ReactNode, useState } from 'react';
import { Link } from 'react-router';
import { toast } from 'sonner';
import type { contentEndpoints } from '../../../../api/contentEndpoints.ts';
import type { AnswerOf } from '../../../../api/endpoint.ts';
import { filePaths } from '../../../../api/paths.ts';
import { type ContentKind, contentAttributes, leftOutKey } from '../../../../core/setup/terms/contentTerms.ts';
import { addressOf, sendFile } from '../../../client/call.ts';
import { count, counted } from '../../../look/price.ts';
import { Button } from '../../parts/Button.tsx';
import { ChooseFile } from '../../parts/ChooseFile.tsx';
import { NumberField, Switch } from '../../parts/Controls.tsx';
import { RowList } from '../../parts/RowList.tsx';
import { Loading, LoadProblem, Nothing, ScreenHead, Section, shelfRow } from '../../parts/Screen.tsx';
import { useChanged } from '../../state/changed.ts';
import { contentList } from '../../state/collections.ts';
import { useDeskState } from '../../state/deskState.ts';
import { edit } from '../../state/edits.ts';
import { clientHere } from '../../state/queryClient.ts';
import { useShopWindow } from '../../state/shopWindow.ts';
import { type Origin, originTexts } from './ItemHead.tsx';
import { MakeItem } from './MakeItem.tsx';

/** What shoppers find besides products: collections of them, and articles to read. */
export function Content() {
  const { revision } = useDeskState();
  const { data, error, refetch } = useQuery({
    ...contentList(revision),
  });
  return (
    <>
      <ScreenHead title="Collections and articles">
        What shoppers find besides single products. The shop window shows a change at once.
      </ScreenHead>
      {error && !data && <LoadProblem error={error} again={refetch} />}
      {!error && !data && <Loading what="Reading articles and collections" />}
      {data && <Kinds data={data} />}
    </>
  );
}

function Kinds({ data }: { readonly data: AnswerOf<(typeof contentEndpoints)['content']> }) {
  return (
    <>
      <Kind
        kind="collection"
        title={counted(data.collections.length, 'collection')}
        note="Products that belong together, by a rule over an attribute or chosen by hand. A search that names one offers it above the products."
        setting={data.settings.collection!}
        columns="id, title and either attribute with values, a condition, or products in the order they shall stand"
      >
        <RowList label="Collections" items={byTitle(data.collections)} rowHeight={46} mostHeight={300}>
          {({ id, title, origin, rule, products, isLeftOut, isThere }) => (
            <>
              <span className="min-w-0 flex-1">
                <ItemLink kind="collection" id={id} title={title} isLeftOut={isLeftOut} />
                <span className="block truncate text-[12.5px] text-soft">
                  {!isThere && 'not there now, '}
                  {counted(products, 'product')}, {rule}
                </span>
              </span>
              <OriginMark origin={origin} />
              <LeaveOut kind="collection" id={id} title={title} isLeftOut={isLeftOut} />
            </>
          )}
        </RowList>
      </Kind>
      <Kind
        kind="article"
        title={counted(data.articles.length, 'article')}
        note="Guides and stories. A search that an article answers names it below the products."
        setting={data.settings.article!}
        columns="id, title, text, link, picture and tags"
      >
        <RowList label="Articles" items={byTitle(data.articles)} rowHeight={46} mostHeight={300}>
          {({ id, title, origin, link, words, isLeftOut }) => (
            <>
              <span className="min-w-0 flex-1">
                <ItemLink kind="article" id={id} title={title} isLeftOut={isLeftOut} />
                <span className="block truncate text-[12.5px] text-soft">
                  {[link, `${count(words)} words`].filter(Boolean).join(', ')}
                </span>
              </span>
              <OriginMark origin={origin} />
              <LeaveOut kind="article" id={id} title={title} isLeftOut={isLeftOut} />
            </>
          )}
        </RowList>
      </Kind>
    </>
  );
}

const byTitle = <Item extends { readonly title: string }>(items: readonly Item[]): Item[] =>
  [...items].sort((a, b) => a.title.localeCompare(b.title));

const save = (value: { key: string; value: unknown }): void => void edit({ part: 'content', ...value });

/** The way to an item's own screen. */
function ItemLink({
  kind,
  id,
  title,
  isLeftOut,
}: {
  readonly kind: ContentKind;
  readonly id: string;
  readonly title: string;
  readonly isLeftOut: boolean;
}) {
  return (
    <Link
      to={`/content/${kind}s/${encodeURIComponent(id)}`}
      className={`block truncate font-semibold hover:text-press hover:underline ${isLeftOut ? 'text-soft line-through' : ''}`}
    >
      {title}
    </Link>
  );
}

const OriginMark = ({ origin }: { readonly origin: Origin }) =>
  origin === 'imported' ? null : (
    <span className="shrink-0 rounded-full border px-2 text-[12px] text-soft">{originTexts[origin]}</span>
  );

function LeaveOut({
  kind,
  id,
  title,
  isLeftOut,
}: {
  readonly kind: ContentKind;
  readonly id: string;
  readonly title: string;
  readonly isLeftOut: boolean;
}) {
  return (
    <Switch
      label={`“${title}” may be found`}
      shown="Found"
      isOn={!isLeftOut}
      change={(isFound) => save({ key: leftOutKey(kind, id), value: isFound ? null : { what: 'leftOut', kind, id } })}
    />
  );
}

function Kind({
  kind,
  title,
  note,
  setting,
  columns,
  children,
}: {
  readonly kind: ContentKind;
  readonly title: string;
  readonly note: string;
  readonly setting: { readonly found: boolean; readonly weights: Readonly<Record<string, number>> };
  readonly columns: string;
  readonly children: ReactNode;
}) {
  const changed = useChanged('content');
  const [isSending, setSending] = useState(false);
  const isEmpty = title.startsWith('0 ');
  const set = (change: Partial<typeof setting>): void =>
    save({ key: kind, value: { what: 'kind', ...setting, ...change } });
  const bring = async (file: File): Promise<void> => {
    setSending(true);
    try {
      const { items, refused } = await sendFile('bringInContent', { kind }, file);
      const [first] = refused;
      toast.success(`${counted(items, kind)} imported`, {
        description: first
          ? `${counted(refused.length, 'row')} refused; line ${first.line}: ${first.column} ${first.reason}`
          : undefined,
      });
      await clientHere().invalidateQueries({ queryKey: ['desk', 'content'] });
      useShopWindow.getState().refresh();
    } catch (error) {
      toast.error('The file was not imported', { description: (error as Error).message });
    }
    setSending(false);
  };
  return (
    <Section
      title={title}
      note={note}
      aside={
        <span className="flex flex-wrap items-center justify-end gap-1">
          <MakeItem kind={kind} />
          <ChooseFile
            label={`File of ${kind}s`}
            accept=".csv,.json,.jsonl,.ndjson,.tsv,.txt"
            take={(file) => void bring(file)}
          >
            {(choose) => (
              <Button
                tone="quiet"
                className="px-2 py-0.5 text-[13px]"
                disabled={isSending}
                title={`CSV, JSON or JSON Lines with ${columns}`}
                onClick={choose}
              >
                <FileUp size={14} aria-hidden /> Import
              </Button>
            )}
          </ChooseFile>
          {!isEmpty && (
            <a
              href={`${addressOf(filePaths.content)}?kind=${kind}`}
              download
              className="inline-flex items-center gap-1.5 rounded-lg px-2 py-0.5 font-semibold text-[13px] text-press hover:bg-press-soft"
            >
              <Download size={14} aria-hidden /> Export
            </a>
          )}
        </span>
      }
    >
      <div className={`${shelfRow(changed(kind))} mb-2 flex flex-wrap items-center gap-x-4 gap-y-1.5 px-3 py-2`}>
        <Switch
          label={`${title} may be found by search`}
          shown="May be found by search"
          isOn={setting.found}
          change={(found) => set({ found })}
        />
        {setting.found &&
          contentAttributes[kind].map(([key, label]) => (
            <span key={key} className="flex items-center gap-1.5 text-[13px]">
              {label}
              <NumberField
                label={`Weight of ${label} in ${kind}s`}
                value={setting.weights[key] ?? 0}
                least={0}
                most={100}
                step={1}
                change={(weight) => set({ weights: { ...setting.weights, [key]: weight } })}
              />
            </span>
          ))}
      </div>
      {isEmpty ? <Nothing>None yet. Import a file with {columns}.</Nothing> : children}
    </Section>
  );
}
