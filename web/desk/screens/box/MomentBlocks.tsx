import type { BoxBlock } from '../../../../core/setup/parts/searchBox.ts';
import {
  type BoxMoment,
  blockNames,
  blockShows,
  boxColumns,
  longestHeading,
  mostInRow,
  mostLines,
} from '../../../../core/setup/terms/boxTerms.ts';
import { boxTitle } from '../../../../core/setup/terms/shopTexts.ts';
import { type Language, languageNames } from '../../../../core/text/languages.ts';
import { Choice, NumberField, Switch, TextField } from '../../parts/Controls.tsx';
import { Nothing, Section, shelfRow } from '../../parts/Screen.tsx';
import { SortableList } from '../../parts/SortableList.tsx';
import { useItemChanged } from '../../state/changed.ts';
import { useDeskState } from '../../state/deskState.ts';
import { edit } from '../../state/edits.ts';
import { useShopLanguages } from '../../state/shopLanguages.ts';
import { blocksOf, withBlock, withOrder } from './boxBlocks.ts';

/** The blocks of one moment, column by column: each switched on or off, moved, headed and limited. */
export function MomentBlocks({ moment }: { readonly moment: BoxMoment }) {
  const { setup } = useDeskState();
  const blocks = blocksOf(setup.searchBox[moment].blocks, moment);
  const isChanged = useItemChanged('searchBox', moment);
  const blockIn = (entry: unknown, kind: string): unknown =>
    (entry as { blocks?: readonly BoxBlock[] } | null)?.blocks?.find((block) => block.kind === kind);
  const save = (next: readonly BoxBlock[]): void =>
    void edit({ part: 'searchBox', key: moment, value: { blocks: [...next] } });
  const used = boxColumns.filter((column) => column <= 2 || blocks.some((block) => block.column === column));
  return used.map((column) => {
    const here = blocks.filter((block) => block.column === column);
    return (
      <Section key={column} title={used.length > 1 ? `Column ${column}` : 'Blocks'}>
        {here.length === 0 && <Nothing>No block stands in this column: the others take its room.</Nothing>}
        <SortableList
          label={`Blocks of column ${column}, in order`}
          items={here.map((block) => ({ id: block.kind, name: blockNames[block.kind], block }))}
          move={(_, from, to) => save(withOrder(blocks, column, from, to))}
        >
          {({ block }, grip) => (
            <Block
              block={block}
              moment={moment}
              grip={grip}
              isChanged={isChanged((entry) => blockIn(entry, block.kind))}
              change={(change) => save(withBlock(blocks, block.kind, change))}
            />
          )}
        </SortableList>
      </Section>
    );
  });
}

function Block({
  block,
  moment,
  grip,
  isChanged,
  change,
}: {
  readonly block: BoxBlock;
  readonly moment: BoxMoment;
  readonly grip: React.ReactNode;
  readonly isChanged: boolean;
  change(change: Partial<BoxBlock>): void;
}) {
  const name = blockNames[block.kind];
  const languages = useShopLanguages();
  const setTitle = (language: Language, text: string): void => {
    const { [language]: _, ...others } = block.title ?? {};
    change({ title: text === '' ? others : { ...others, [language]: text } });
  };
  return (
    <div className={`${shelfRow(isChanged)} py-1.5 pr-2 pl-2`}>
      <div className="flex items-start gap-2">
        <span className="pt-1">{grip}</span>
        <span className="min-w-0 flex-1">
          <b className="block font-semibold">{name}</b>
          <span className="block text-[13px] text-soft">{blockShows[moment][block.kind]}</span>
        </span>
        <Switch label={`${name} shown`} isOn={block.on} change={(on) => change({ on })} />
      </div>
      <div
        className={`mt-1.5 flex flex-wrap items-center gap-x-3 gap-y-1.5 pl-7 text-[13px] ${block.on ? '' : 'opacity-70'}`}
      >
        {block.kind !== 'message' && (
          <span>
            up to{' '}
            <NumberField
              label={`Lines of ${name} at most`}
              value={block.most}
              least={1}
              most={mostLines}
              className="w-[52px]"
              change={(most) => change({ most: Math.round(most) })}
            />
          </span>
        )}
        <span>
          column{' '}
          <Choice
            label={`Column of ${name}`}
            value={String(block.column)}
            options={boxColumns.map((column) => [String(column), String(column)] as const)}
            change={(column) => change({ column: Number(column) as BoxBlock['column'] })}
          />
        </span>
        {block.kind === 'products' && <ProductsBlock {...{ block, moment, change }} />}
        {block.kind !== 'message' &&
          languages.map((language) => (
            <span key={language} className="inline-flex items-center gap-1.5">
              headed{languages.length > 1 ? ` in ${languageNames[language]}` : ''}
              <TextField
                label={`Heading of ${name}${languages.length > 1 ? ` in ${languageNames[language]}` : ''}`}
                value={block.title?.[language] ?? ''}
                placeholder={boxTitle(block.kind, language)}
                mayBeEmpty
                maxLength={longestHeading}
                className="w-[150px]"
                change={(text) => setTitle(language, text)}
              />
            </span>
          ))}
      </div>
    </div>
  );
}

/** What only a block of products has: how many stand side by side, and in which order. */
function ProductsBlock({
  block,
  moment,
  change,
}: {
  readonly block: BoxBlock;
  readonly moment: BoxMoment;
  change(change: Partial<BoxBlock>): void;
}) {
  const { orders } = useDeskState().setup.relevance.sorting;
  const byResults = orders.find(({ signals }) => signals.length === 0)!;
  const isKnown = orders.some(({ key }) => key === block.sort);
  return (
    <>
      <span>
        <NumberField
          label="Products side by side"
          value={block.inRow ?? 1}
          least={1}
          most={mostInRow}
          className="w-[52px]"
          change={(inRow) => change({ inRow: Math.round(inRow) })}
        />{' '}
        in a row
      </span>
      {moment !== 'nothing' && (
        <span>
          in the order{' '}
          <Choice
            label="Order of the products"
            value={isKnown ? block.sort! : byResults.key}
            options={orders.map(
              ({ key, label, signals }) => [key, signals.length === 0 ? 'of the results' : label] as const,
            )}
            change={(key) => change({ sort: key === byResults.key ? undefined : key })}
          />
        </span>
      )}
    </>
  );
}
