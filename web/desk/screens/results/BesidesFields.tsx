import { X } from 'lucide-react';
import type { Besides } from '../../../../core/setup/parts/resultsPage.ts';
import {
  type BesideKind,
  besideKinds,
  besidePlaceNames,
  besidePlaces,
  blockPlaces,
  mostBefore,
  mostBesides,
  mostBlocks,
  mostInBlock,
  searchMark,
} from '../../../../core/setup/terms/besidesTerms.ts';
import { longest } from '../../../../core/setup/terms/limits.ts';
import { movedTo } from '../../../look/movedTo.ts';
import { IconButton } from '../../parts/Button.tsx';
import { CollectionChips } from '../../parts/CollectionChips.tsx';
import { Choice, NumberField, TextField } from '../../parts/Controls.tsx';
import { Nothing, Section, shelfRow } from '../../parts/Screen.tsx';
import { SortableList } from '../../parts/SortableList.tsx';
import { useItemChanged } from '../../state/changed.ts';
import { useCollections } from '../../state/collections.ts';
import { useDeskState } from '../../state/deskState.ts';
import { edit } from '../../state/edits.ts';

const kindNames: Readonly<Record<BesideKind, string>> = { collections: 'Collections', articles: 'Articles' };
type Block = Besides['blocks'][number];

/** What stands among results besides products: articles, collections, and what a search finds within a collection. */
export function BesidesFields() {
  const { besides } = useDeskState().setup.resultsPage;
  const isChanged = useItemChanged('resultsPage', 'besides');
  const save = (change: Partial<Besides>): void =>
    void edit({ part: 'resultsPage', key: 'besides', value: { ...besides, ...change } });
  const ofField = (field: keyof Besides): boolean => isChanged((entry) => (entry as Besides | null)?.[field]);
  const isBetween = besideKinds.some((kind) => besides[kind].where === 'between');
  return (
    <>
      <Section
        title="Articles and collections"
        note="Those that have all the words of the search. The way to all of them stands beside them."
      >
        <ul className="space-y-[5px]" aria-label="Articles and collections">
          {besideKinds.map((kind) => {
            const { where, most } = besides[kind];
            return (
              <li
                key={kind}
                className={`${shelfRow(ofField(kind))} flex flex-wrap items-center gap-x-4 gap-y-2 px-3 py-2 text-[13px]`}
              >
                <b className="w-[80px]">{kindNames[kind]}</b>
                <span>
                  stand{' '}
                  <Choice
                    label={`Where ${kindNames[kind].toLowerCase()} stand`}
                    value={where}
                    options={besidePlaces.map((place) => [place, besidePlaceNames[place]] as const)}
                    change={(to) => save({ [kind]: { where: to, most } })}
                  />
                </span>
                {where !== 'tab' && where !== 'none' && (
                  <span>
                    up to{' '}
                    <NumberField
                      label={`${kindNames[kind]} at most`}
                      value={most}
                      least={1}
                      most={mostBesides}
                      className="w-[56px]"
                      change={(to) => save({ [kind]: { where, most: Math.round(to) } })}
                    />
                  </span>
                )}
              </li>
            );
          })}
        </ul>
        {isBetween && (
          <p className={`${shelfRow(ofField('after'))} mt-[5px] px-3 py-2 text-[13px]`}>
            Between the products means after{' '}
            <NumberField
              label="Products before what stands between them"
              value={besides.after}
              least={1}
              most={mostBefore}
              className="w-[56px]"
              change={(to) => save({ after: Math.round(to) })}
            />{' '}
            of them.
          </p>
        )}
      </Section>
      <Section
        title="Within a collection"
        note={`What the search finds in a collection, under a heading of its own. ${searchMark} in it stands for what was searched for.`}
      >
        <Blocks blocks={besides.blocks} isChanged={ofField('blocks')} save={(blocks) => save({ blocks })} />
      </Section>
    </>
  );
}

function Blocks({
  blocks,
  isChanged,
  save,
}: {
  readonly blocks: readonly Block[];
  readonly isChanged: boolean;
  save(blocks: Block[]): void;
}) {
  const collections = useCollections();
  const titleOf = (id: string): string => collections.find((each) => each.id === id)?.title ?? id;
  const change = (collection: string, to: Partial<Block>): void =>
    save(blocks.map((block) => (block.collection === collection ? { ...block, ...to } : block)));
  return (
    <>
      {blocks.length === 0 && <Nothing>None: products stand in one list.</Nothing>}
      <SortableList
        label="Blocks within collections, in order"
        items={blocks.map((block) => ({ id: block.collection, name: titleOf(block.collection), block }))}
        move={(_, from, to) => save(movedTo(blocks, from, to))}
      >
        {({ name, block: { collection, heading, most, where } }, grip) => (
          <div
            className={`${shelfRow(isChanged)} mb-[5px] flex flex-wrap items-center gap-x-3 gap-y-2 py-2 pr-2 pl-2 text-[13px]`}
          >
            {grip}
            <b className="min-w-0 flex-1 truncate">{name}</b>
            <IconButton
              label={`Take the block of ${name} out`}
              onClick={() => save(blocks.filter((block) => block.collection !== collection))}
            >
              <X size={15} aria-hidden />
            </IconButton>
            <span className="flex basis-full flex-wrap items-center gap-x-3 gap-y-2 pl-7">
              <TextField
                label={`Heading of the block of ${name}`}
                className="w-[190px]"
                value={heading}
                maxLength={longest.label}
                change={(to) => change(collection, { heading: to })}
              />
              <span>
                up to{' '}
                <NumberField
                  label={`Products in the block of ${name} at most`}
                  value={most}
                  least={1}
                  most={mostInBlock}
                  className="w-[56px]"
                  change={(to) => change(collection, { most: Math.round(to) })}
                />
              </span>
              <Choice
                label={`Where the block of ${name} stands`}
                value={where}
                options={blockPlaces.map((place) => [place, besidePlaceNames[place]] as const)}
                change={(to) => change(collection, { where: to })}
              />
            </span>
          </div>
        )}
      </SortableList>
      {blocks.length < mostBlocks && (
        <CollectionChips
          label="Choose a collection"
          chosen={[]}
          change={([collection]) => {
            if (collection === undefined || blocks.some((block) => block.collection === collection)) return;
            const heading = `${searchMark} in ${titleOf(collection)}`.slice(0, longest.label);
            save([...blocks, { collection, heading, most: 4, where: 'above' }]);
          }}
        />
      )}
    </>
  );
}
