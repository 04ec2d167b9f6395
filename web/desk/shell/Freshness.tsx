import { useEffect, useState } from 'react';
import { ago } from '../../look/dates.ts';
import { useFreshness } from '../state/freshness.ts';

/** How old what shoppers find is, at the foot of every screen. */
export function Freshness() {
  const data = useFreshness();
  const [, tick] = useState(0);
  useEffect(() => {
    const timer = setInterval(() => tick((count) => count + 1), 5000);
    return () => clearInterval(timer);
  }, []);
  if (!data?.importedAt) return null;
  return (
    <p className="mt-auto px-2 pt-1.5 text-[12px] text-soft leading-snug">
      The index is up to date.
      <br />
      Catalog: {ago(data.importedAt)}
      {data.factsAt && (
        <>
          <br />
          Prices and stock: {ago(data.factsAt)}
        </>
      )}
    </p>
  );
}
