import { PackageOpen } from 'lucide-react';
import { Link, useLocation } from 'react-router';
import { useDeskState } from '../state/deskState.ts';
import { Notice } from './Notice.tsx';

/** Told above every screen of a storefront that has no catalog yet. */
export function NoCatalogNotice() {
  const { catalog, storefront } = useDeskState();
  const { pathname } = useLocation();
  if (catalog.generation > 0) return null;
  return (
    <Notice label="No catalog yet" icon={PackageOpen}>
      {storefront.name} has no catalog yet, so its shoppers find nothing.{' '}
      {pathname === '/catalog/bring-in' ? (
        'Choose a file below; with it come attributes, filters and weights to begin with.'
      ) : (
        <Link to="/catalog/bring-in" className="text-press underline">
          Bring one in
        </Link>
      )}
    </Notice>
  );
}
