import { useState } from 'react';
import { Loading, LoadProblem, Nothing } from '../../parts/Screen.tsx';
import { useAttributes } from '../../state/attributes.ts';
import { useListed } from '../../state/productRows.ts';
import { useProductTable } from '../../state/productTable.ts';
import { BulkBar } from './table/BulkBar.tsx';
import { ProductGrid } from './table/ProductGrid.tsx';
import { TableTools } from './table/TableTools.tsx';

const usualColumns = ['price', 'stock', 'tags', 'brand', 'category'];

/** The catalog as a table: searched, filtered, sorted, and edited cell by cell or many products at once. */
export function Products() {
  const table = useProductTable();
  const { attributes, error: attributesError, refetch: again } = useAttributes();
  const known = attributes?.filter(({ key }) => key !== 'title');
  const columns =
    table.columns?.filter((key) => known?.some((row) => row.key === key)) ??
    usualColumns.filter((key) => known?.some((row) => row.key === key));
  const { data, error, refetch } = useListed(table, columns);
  const [problem, setProblem] = useState<string | null>(null);
  if (attributesError && !attributes) return <LoadProblem error={attributesError} again={again} />;
  if (error && !data) return <LoadProblem error={error} again={refetch} />;
  if (!known || !data) return <Loading what="Reading the catalog" />;
  return (
    <div className="flex h-[calc(100vh-226px)] min-h-[320px] flex-col group-has-data-strip/editor:h-[calc(100vh-318px)]">
      <TableTools attributes={known} columns={columns} total={data.total} products={data.products} />
      {data.total === 0 ? (
        <Nothing>No product is like that. Change the search or take a filter off.</Nothing>
      ) : (
        <ProductGrid attributes={known} columns={columns} total={data.total} tell={setProblem} />
      )}
      {problem && (
        <p role="alert" className="mt-1.5 text-wrong">
          {problem}
        </p>
      )}
      <BulkBar attributes={known} products={data.products} />
    </div>
  );
}
