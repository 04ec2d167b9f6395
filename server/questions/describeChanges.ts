import type { DescribedChange } from '../../api/stateSchema.ts';
import { describeChange } from '../../core/setup/describeChange.ts';
import type { EntryChange } from '../../core/setup/entries.ts';
import { type Decision, describeDecision } from '../../core/setup/parts/products.ts';
import { canonical } from '../../core/setup/terms/canonical.ts';
import type { NamesForChanges } from '../../core/setup/terms/part.ts';

/** Names of groups by change: a change that stays is the same object, and there may be ten thousands of them. */
const knownGroups = new WeakMap<EntryChange, string>();

/** What makes two decisions about different products one change when they are reported. */
export function groupOf(change: EntryChange): string | null {
  if (change.part !== 'products') return null;
  const known = knownGroups.get(change) ?? groupName(change);
  knownGroups.set(change, known);
  return known;
}

function groupName({ before, after }: EntryChange): string {
  const { product: _, variant: __, ...decision } = (after ?? before) as Decision;
  return canonical([after === null ? 'dropped' : 'decided', decision]).slice(0, 2000);
}

/** What was told of a list of changes, by which names. */
const describedBefore = new WeakMap<
  readonly EntryChange[],
  { readonly names: NamesForChanges; readonly described: DescribedChange[] }
>();

/** Changes in words; the same decision about several products is one of them. What was told of a list is kept by it. */
export function describeChanges(changes: readonly EntryChange[], names: NamesForChanges): DescribedChange[] {
  const known = describedBefore.get(changes);
  if (known?.names === names) return known.described;
  const described = describeAnew(changes, names);
  describedBefore.set(changes, { names, described });
  return described;
}

function describeAnew(changes: readonly EntryChange[], names: NamesForChanges): DescribedChange[] {
  const groups = new Map<string, EntryChange[]>();
  for (const change of changes) {
    const name = groupOf(change);
    if (name === null) continue;
    const known = groups.get(name);
    if (known) known.push(change);
    else groups.set(name, [change]);
  }
  return changes.flatMap((change): DescribedChange[] => {
    const name = groupOf(change);
    const together = name === null ? [] : groups.get(name)!;
    if (together.length < 2) return [{ ...change, sentences: describeChange(change, names) }];
    if (together[0] !== change) return [];
    const sentence = describeDecision((change.after ?? change.before) as Decision, change.after === null, names);
    const products = new Set(together.map(({ before, after }) => ((after ?? before) as Decision).product)).size;
    return [
      {
        ...change,
        sentences: [`${sentence} for ${products} products`],
        group: { name: name!, count: together.length },
      },
    ];
  });
}
