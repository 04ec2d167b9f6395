import { Outlet } from 'react-router';
import { ago } from '../../../look/dates.ts';
import { count, counted } from '../../../look/price.ts';
import { PageTabs } from '../../parts/PageTabs.tsx';
import { LoadProblem, ScreenHead } from '../../parts/Screen.tsx';
import { useCatalog } from '../../state/catalog.ts';
import { PicturesMissing } from './PicturesMissing.tsx';

const pages = [
  { to: '/catalog/products', label: 'Products' },
  { to: '/catalog/bring-in', label: 'Import' },
  { to: '/catalog/reading', label: 'How the file is read' },
  { to: '/catalog/duplicates', label: 'Duplicates' },
  { to: '/catalog/feed', label: 'Prices and stock' },
] as const;

/** Stock, first screen: what the catalog holds, and the pages on which it is brought in, looked through and tidied. */
export function CatalogFrame() {
  const { data, error, refetch } = useCatalog();
  return (
    <>
      <ScreenHead title="Catalog">
        {data?.importedAt
          ? `${counted(data.families, 'product')} in ${counted(data.records, 'record')}, from ${data.file}, imported ${ago(data.importedAt)}.`
          : 'What the shop has to sell.'}
        {data && data.rejected > 0 && ` ${count(data.rejected)} rows were refused.`}
      </ScreenHead>
      {error && !data && <LoadProblem error={error} again={refetch} />}
      <PicturesMissing />
      <PageTabs label="Catalog pages" pages={pages} />
      <Outlet />
    </>
  );
}
