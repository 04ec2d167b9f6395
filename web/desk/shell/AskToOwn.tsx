import { followable } from '../../../core/setup/terms/followable.ts';
import { Ask } from '../parts/Ask.tsx';
import { useAskedToOwn, useStorefrontName } from '../state/following.ts';

/** Asked where somebody changes something in a part that follows another storefront's. */
export function AskToOwn() {
  const { asked } = useAskedToOwn();
  const nameOf = useStorefrontName();
  if (!asked) return null;
  const { part, storefront, andThen } = asked;
  const name = nameOf(storefront);
  return (
    <Ask
      title={`${followable[part]} follow ${name}`}
      description={`They are changed there, and come here when it publishes. Made this storefront’s own they begin as a copy of what ${name} has now, and what it changes later no longer comes here.`}
      close={() => useAskedToOwn.setState(({ declined }) => ({ asked: null, declined: declined + 1 }))}
      answers={[{ label: 'Make them its own and change this', answer: andThen }]}
    />
  );
}
