import { PackageOpen } from 'lucide-react';
import { Link, useLocation } from 'react-router';
import { useDeskState } from '../state/deskState.ts';

/** Told above every screen of a storefront that has no catalog yet. */
export function NoCatalogNotice() {
  const { catalog, storefront } = useDeskState();
  const { pathname } = useLocation();
  if (catalog.generation > 0) return null;
  return (
    <section
      aria-label="No catalog yet"
      className="mb-4 flex items-start gap-2 rounded-lg border bg-surface px-3 py-2.5"
    >
      <PackageOpen size={16} className="mt-0.5 shrink-0 text-press" aria-hidden />
      <p>
        {storefront.name} has no catalog yet, so its shoppers find nothing.{' '}
        {pathname === '/catalog/bring-in' ? (
          'Choose a file below; with it come attributes, filters and weights to begin with.'
        ) : (
          <Link to="/catalog/bring-in" className="text-press underline">
            Bring one in
          </Link>
        )}
      </p>
    </section>
  );
}
