import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { call } from '../../../client/call.ts';
import { ProductPicker } from '../../parts/ProductPicker.tsx';
import { takeJob } from '../../state/catalog.ts';

/** Says to which product records belong; the rows are then read again, and what changes is shown before it is in force. */
export function useCorrectFamilies(): (records: readonly string[], family: string | null) => Promise<void> {
  const go = useNavigate();
  return async (records, family) => {
    try {
      await call('correctFamilies', { body: { records: [...records], family } });
      takeJob(await call('readAgain', { body: { mappings: [] } }));
      void go('/catalog/bring-in');
    } catch (error) {
      toast.error('The variants are as they were', { description: (error as Error).message });
    }
  };
}

/** Takes a variant out of its product, to stand by itself. */
export function SplitOff({
  variant,
  product,
  label,
}: {
  readonly variant: string;
  readonly product: string;
  readonly label: string;
}) {
  const correct = useCorrectFamilies();
  return (
    <button
      type="button"
      className="text-[12.5px] text-press hover:underline"
      onClick={() => void correct([variant], variant === product ? `${variant}~` : variant)}
    >
      Make it a product of its own<span className="sr-only">: {label}</span>
    </button>
  );
}

/** Takes another product's variants into this one. */
export function JoinProduct({ product }: { readonly product: string }) {
  const correct = useCorrectFamilies();
  return (
    <ProductPicker
      label="Join another product’s variants to it"
      chosen={new Set([product])}
      choose={async ({ id }) => {
        const other = await call('product', { query: { id } });
        await correct(
          other.variants.map((variant) => variant.id),
          product,
        );
      }}
    />
  );
}
