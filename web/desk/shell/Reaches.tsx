import { type FollowablePart, followable } from '../../../core/setup/terms/followable.ts';

interface ReachedStorefront {
  readonly id: string;
  readonly name: string;
  readonly parts: readonly FollowablePart[];
}

/** The storefronts that follow what is about to be published; each can be held back. */
export function Reaches({
  reached,
  heldBack,
  hold,
}: {
  readonly reached: readonly ReachedStorefront[];
  readonly heldBack: ReadonlySet<string>;
  hold(heldBack: ReadonlySet<string>): void;
}) {
  const toggle = (id: string): void => {
    const next = new Set(heldBack);
    if (!next.delete(id)) next.add(id);
    hold(next);
  };
  return (
    <fieldset className="mt-3 rounded-lg border px-3 pt-1 pb-2.5">
      <legend className="px-1 font-semibold text-[13px]">It reaches other storefronts at once</legend>
      <ul className="space-y-1.5">
        {reached.map(({ id, name, parts }) => (
          <li key={id}>
            <label className="flex items-start gap-2">
              <input type="checkbox" className="mt-1" checked={!heldBack.has(id)} onChange={() => toggle(id)} />
              <span>
                <b>{name}</b> follows this one in {parts.map((part) => followable[part].toLowerCase()).join(', ')}
                {heldBack.has(id) && (
                  <span className="block text-[13px] text-on-changed">
                    held back: its shoppers keep what they have until somebody publishes there
                  </span>
                )}
              </span>
            </label>
          </li>
        ))}
      </ul>
    </fieldset>
  );
}
