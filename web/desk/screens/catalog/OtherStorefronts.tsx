import { Section } from '../../parts/Screen.tsx';
import { useCatalog } from '../../state/catalog.ts';
import { usePlace } from '../../state/place.ts';
import { useStorefronts } from '../../state/storefronts.ts';

/** Which other storefronts have the file too, each read by its own mapping; nothing where there is no other. */
export function OtherStorefronts({
  also,
  change,
}: {
  readonly also: ReadonlySet<string>;
  change(also: ReadonlySet<string>): void;
}) {
  const { storefront: here } = usePlace();
  const { data } = useStorefronts();
  const { data: catalog } = useCatalog();
  const sharing = catalog?.sharedBy ?? [];
  const others = data?.storefronts.filter(({ id, shares }) => id !== here && shares === null) ?? [];
  if (sharing.length + others.length === 0) return null;
  const toggle = (id: string): void => {
    const next = new Set(also);
    if (!next.delete(id)) next.add(id);
    change(next);
  };
  return (
    <Section
      title="Other storefronts"
      note="Each reads the file in its own way: the texts in its language, the prices in its currency, where the file has them."
    >
      <ul className="space-y-1">
        {sharing.map(({ id, name }) => (
          <li key={id}>
            <b>{name}</b> shares these records and has the file a moment later.
          </li>
        ))}
        {others.map(({ id, name }) => (
          <li key={id}>
            <label className="flex items-center gap-2">
              <input type="checkbox" checked={also.has(id)} onChange={() => toggle(id)} />
              <span>
                Bring it into <b>{name}</b> too; where its shoppers would miss something, it waits there to be looked at
              </span>
            </label>
          </li>
        ))}
      </ul>
    </Section>
  );
}
