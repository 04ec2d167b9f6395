import type { Condition } from '../../../../core/setup/terms/condition.ts';
import { mostContent } from '../../../../core/setup/terms/contentTerms.ts';
import { most } from '../../../../core/setup/terms/limits.ts';
import { Choice } from '../../parts/Controls.tsx';
import { ConditionEditor } from '../../parts/condition/ConditionEditor.tsx';
import { ConditionMet } from '../../parts/condition/ConditionMet.tsx';
import { OrderedProducts } from '../../parts/OrderedProducts.tsx';
import { useAttributes } from '../../state/attributes.ts';
import type { CollectionAnswer, saveMade } from './made.ts';

type Save = (change: Parameters<typeof saveMade<'collection'>>[2]) => void;

export function ByHand({
  chosen,
  save,
  isChanged,
}: {
  readonly chosen: readonly string[];
  readonly save: Save;
  readonly isChanged: boolean;
}) {
  return (
    <OrderedProducts
      label="Products of the collection"
      add="Add a product"
      takeOut={(title) => `Take ${title} out`}
      ids={chosen}
      most={mostContent.products}
      isChanged={isChanged}
      change={(ids) => save({ products: [...ids], condition: undefined })}
    />
  );
}

const directions = [
  ['high', 'highest first'],
  ['low', 'lowest first'],
] as const;

export function ByRule({
  collection,
  save,
  isChanged,
}: {
  readonly collection: Omit<CollectionAnswer, 'condition'> & { readonly condition: Condition | null };
  readonly save: Save;
  readonly isChanged: boolean;
}) {
  const { condition, sort, direction, first } = collection;
  const { attributes = [] } = useAttributes();
  const numeric = attributes.filter(({ isNumeric }) => isNumeric);
  return (
    <>
      <ConditionEditor
        value={condition}
        change={(to) => save({ condition: to, products: undefined })}
        mayNameCollections={false}
      />
      <ConditionMet condition={condition} />
      {condition && (
        <>
          <div className="mt-3 flex flex-wrap items-center gap-2 text-[13px]">
            In order of
            <Choice
              label="What its page is ordered by"
              value={sort}
              options={[['', 'relevance'], ...numeric.map(({ key, label }) => [key, label] as const)]}
              change={(attribute) => save({ sort: attribute === '' ? null : { attribute, direction } })}
            />
            {sort !== '' && (
              <Choice
                label="Which end comes first"
                value={direction}
                options={directions}
                change={(to) => save({ sort: { attribute: sort, direction: to } })}
              />
            )}
          </div>
          <h3 className="mt-3 mb-1 font-semibold text-[13px]">Before that, in this order</h3>
          <OrderedProducts
            label="Products that stand first in the collection"
            add="Put a product first"
            takeOut={(title) => `No longer put ${title} first`}
            ids={first}
            most={most.first}
            isChanged={isChanged}
            change={(ids) => save({ first: ids.length > 0 ? [...ids] : undefined })}
          />
        </>
      )}
    </>
  );
}
