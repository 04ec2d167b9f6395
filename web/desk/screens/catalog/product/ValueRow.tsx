import { longestIndexed } from '../../../../../core/catalog/limits.ts';
import { longest } from '../../../../../core/setup/terms/limits.ts';
import { call } from '../../../../client/call.ts';
import { count } from '../../../../look/price.ts';
import { Choice, TextField } from '../../../parts/Controls.tsx';
import { shelfRow } from '../../../parts/Screen.tsx';
import { setAttributeByKey } from '../../../state/attributes.ts';
import { act, edit } from '../../../state/edits.ts';
import type { Attribute, Product, Variant } from './productAnswer.ts';

interface OfVariant {
  readonly product: Product;
  readonly variant: Variant;
  /** The variant that a value typed here is decided for; null for all of the product's. */
  readonly owner: string | null;
}

/** The values of some attributes, one below the other. */
export function ValueRows({ attributes, ...of }: OfVariant & { readonly attributes: readonly Attribute[] }) {
  return (
    <ul className="space-y-[5px]">
      {attributes.map((attribute) => (
        <ValueRow key={attribute.key} attribute={attribute} {...of} />
      ))}
    </ul>
  );
}

/** One attribute's value: where it comes from, what the other source says, and which of the two wins. */
function ValueRow({ product, attribute, variant, owner }: OfVariant & { readonly attribute: Attribute }) {
  const { key, label, canDecide, wins } = attribute;
  const value = variant.values[key];
  const decision = product.decisions.find(
    ({ decision: each }) => each.attribute === key && (each.variant === owner || each.variant === null),
  );
  const save = (text: string): void => {
    void act(
      (revision) =>
        call('editCells', {
          body: { revision, cells: [{ product: product.id, variant: owner, attribute: key, text }] },
        }),
      (state) => state,
    );
  };
  return (
    <li className={`${shelfRow(decision !== undefined)} px-3 py-1.5`}>
      <div className="flex items-center gap-3">
        <span className="w-[116px] shrink-0 truncate text-[13px] text-soft" title={label}>
          {label}
        </span>
        {canDecide ? (
          <TextField
            label={label}
            value={value?.text ?? ''}
            mayBeEmpty={key !== 'title'}
            maxLength={longest.decidedText}
            className="min-w-0 flex-1"
            change={save}
          />
        ) : (
          <span className="min-w-0 flex-1 truncate">{value?.text.replaceAll('|', ', ')}</span>
        )}
      </div>
      {value && value.text.length > longestIndexed && (
        <p className="mt-1 pl-[128px] text-[12.5px] text-soft">
          Kept whole; the search reads its first {count(longestIndexed)} characters of {count(value.text.length)}.
        </p>
      )}
      {decision && (
        <div className="mt-1 flex flex-wrap items-center gap-x-3 gap-y-1 pl-[128px] text-[12.5px] text-soft">
          <span>
            {value?.from === 'here' ? 'Set here' : 'Set here, but the file wins'}; the file says{' '}
            {value?.fact ? `“${value.fact.slice(0, 80)}”` : 'nothing'}.
          </span>
          {value?.contested && (
            <Choice
              label={`Which ${label} counts where both have one`}
              value={wins}
              options={[
                ['here', 'Keep my value, in every product'],
                ['file', 'Use the file’s value, in every product'],
              ]}
              change={(next) => setAttributeByKey(key, { wins: next === 'file' ? 'file' : undefined })}
            />
          )}
          <button
            type="button"
            className="font-semibold text-press hover:underline"
            onClick={() => void edit({ part: 'products', key: decision.key, value: null })}
          >
            Discard my value
          </button>
        </div>
      )}
    </li>
  );
}
