import { LayoutGrid } from 'lucide-react';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { longestContent, madeKey } from '../../../../core/setup/terms/contentTerms.ts';
import { counted } from '../../../look/price.ts';
import { Choice } from '../../parts/Controls.tsx';
import { PictureField } from '../../parts/PictureField.tsx';
import { WhenFields } from '../../parts/rule/WhenFields.tsx';
import { Loading, LoadProblem, Section } from '../../parts/Screen.tsx';
import { TextArea } from '../../parts/TextArea.tsx';
import { useChanged } from '../../state/changed.ts';
import { useCollections } from '../../state/collections.ts';
import { ByHand, ByRule } from './CollectionMembers.tsx';
import { productsOf } from './collectionProducts.ts';
import { ItemHead } from './ItemHead.tsx';
import { type CollectionAnswer, isBeingMade, madeNowOf, saveMade, useCollection, useCollectionShown } from './made.ts';

/** One collection: what is in it, in which order, what its page says and when it is there. */
export function CollectionScreen() {
  const { id = '' } = useParams();
  useCollectionShown(id);
  const { data, error, refetch } = useCollection(id);
  if (error && !data && !isBeingMade('collection', id))
    return <LoadProblem error={error} again={() => void refetch()} />;
  if (!data) return <Loading what="Reading the collection" />;
  return <Editor key={id} collection={data} />;
}

const ways = [
  ['rule', 'by a rule'],
  ['hand', 'by hand'],
] as const;

function Editor({ collection }: { readonly collection: CollectionAnswer }) {
  const { id, title, condition, parent, text, picture, products, isThere } = collection;
  const made = madeNowOf('collection', id);
  const isChanged = useChanged('content')(madeKey('collection', id));
  const others = useCollections().filter((each) => each.id !== id);
  const save = (change: Parameters<typeof saveMade<'collection'>>[2]): void => saveMade('collection', id, change);
  /** A rule that is begun is none before it says something; the products chosen by hand stay as long. */
  const [way, setWay] = useState<'rule' | 'hand' | null>(null);
  // What is saved shows at once, before the server tells it.
  const shownCondition = made.condition ?? (made.products ? null : condition);
  const isByRule = shownCondition !== null || way === 'rule';
  const turnInto = async (way: 'rule' | 'hand'): Promise<void> => {
    if (way === 'hand')
      save({ products: await productsOf(id), condition: undefined, first: undefined, sort: undefined });
    setWay(way);
  };
  return (
    <>
      <ItemHead kind="collection" item={collection}>
        <Link
          to={`/content/collections/${encodeURIComponent(id)}/board`}
          className="inline-flex items-center gap-1.5 rounded-lg border bg-surface px-3.5 py-[6.5px] font-semibold hover:border-edge"
        >
          <LayoutGrid size={15} aria-hidden /> Open the board
        </Link>
      </ItemHead>
      <Section
        title={counted(products, 'product')}
        note={
          isByRule
            ? 'Every product that meets this, also those that come later.'
            : 'The products you choose, in this order. The board shows them as cards.'
        }
        aside={
          <Choice
            label="How the collection is made"
            value={isByRule ? 'rule' : 'hand'}
            options={ways}
            change={(way) => void turnInto(way)}
          />
        }
      >
        {isByRule ? (
          <ByRule collection={{ ...collection, condition: shownCondition }} save={save} isChanged={isChanged} />
        ) : (
          <ByHand chosen={made.products ?? collection.chosen} save={save} isChanged={isChanged} />
        )}
      </Section>
      <Section title="On its page">
        <div className="space-y-2">
          <TextArea
            label="Text on the page"
            placeholder="A sentence or two under its title"
            maxLength={longestContent.collectionText}
            value={made.text ?? text}
            change={(to) => save({ text: to })}
          />
          <div className="flex flex-wrap items-center gap-2 text-[13px]">
            Picture
            <PictureField
              label="Picture of the collection"
              placeholder="the address of a picture, or none"
              className="min-w-[220px] flex-1"
              maxLength={longestContent.link}
              value={made.picture ?? picture}
              change={(to) => save({ picture: to })}
            />
          </div>
          <div className="flex flex-wrap items-center gap-2 text-[13px]">
            Stands below
            <Choice
              label="The collection it stands below"
              value={made.parent ?? parent}
              options={[['', 'no other collection'], ...others.map((each) => [each.id, each.title] as const)]}
              change={(to) => save({ parent: to })}
            />
          </div>
        </div>
      </Section>
      <Section title="When it is there" note={isThere ? undefined : `“${title}” is not there now: no search names it.`}>
        <WhenFields of="the collection" value={made} change={(span) => save(span)} />
      </Section>
    </>
  );
}
