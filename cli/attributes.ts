import { unknownName } from '../api/problem.ts';
import { own } from '../core/base/named.ts';
import { unsetAttribute } from '../core/setup/terms/usualValues.ts';
import { type About, draftOf, Failure, lookAtCatalog, onOff, openWithCatalog, table, UsageError } from './usage.ts';

export function attributesCommand(
  data: string,
  rest: readonly string[],
  values: About & { readonly json: boolean },
): void {
  const { json } = values;
  if (rest.length > 0) throw new UsageError('“attributes” takes no further words; did you mean “attribute set KEY”?');
  const shelf = lookAtCatalog(data, values);
  const { reader, storefront } = shelf;
  const settings = storefront.setups(draftOf(shelf, values).draft).draft().attributes;
  const attributes = reader.snapshot.attributes.map((profile) => ({
    ...profile,
    ...(own(settings, profile.key) ?? unsetAttribute),
  }));
  if (json) {
    process.stdout.write(`${JSON.stringify({ attributes }, null, 2)}\n`);
    return;
  }
  const rows = attributes.map((row) => [
    row.key,
    row.kind,
    row.searchable ? `searched, weight ${row.weight}` : 'not searched',
    `${Math.round(row.coverage * 100)}% have it`,
    `${row.values} values`,
    row.samples.slice(0, 3).join(' · ').slice(0, 60),
  ]);
  process.stdout.write(`${table(rows)}\n`);
}

export async function attributeSetCommand(
  data: string,
  rest: readonly string[],
  values: About & {
    readonly weight?: string;
    readonly searchable?: string;
    readonly card?: string;
    readonly json: boolean;
  },
): Promise<void> {
  const [verb, key, ...more] = rest;
  if (verb !== 'set' || key === undefined || more.length > 0)
    throw new UsageError('Say: attribute set KEY --weight N --searchable on|off.');
  const searchable = onOff('searchable', values.searchable);
  const onCard = onOff('card', values.card);
  const weight = values.weight === undefined ? undefined : Number(values.weight);
  if (weight !== undefined && !(weight >= 0 && weight <= 100))
    throw new UsageError(`--weight is a number from 0 to 100, not “${values.weight}”.`);
  if (searchable === undefined && onCard === undefined && weight === undefined)
    throw new UsageError('Say what to set: --weight N, --searchable on|off or --card on|off.');
  const { ref, setups, catalogs, writer } = openWithCatalog(data, values);
  const known = catalogs.current()!.snapshot.attributes.map((profile) => profile.key);
  if (!known.includes(key)) throw new Failure(unknownName('attribute', key, known));
  const before = own(setups.draft().attributes, key) ?? unsetAttribute;
  const value = {
    searchable: searchable ?? before.searchable,
    weight: weight ?? before.weight,
    onCard: onCard ?? before.onCard,
  };
  const edits = [{ part: 'attributes' as const, key, value }];
  const outcome = await writer.edit(ref, edits, setups.revision(), 'Terminal', Date.now());
  if ('refusal' in outcome)
    throw new Failure('part' in outcome.refusal ? outcome.refusal.message : outcome.refusal.code);
  process.stdout.write(
    values.json
      ? `${JSON.stringify({ key, ...value, revision: outcome.revision })}\n`
      : `${key}: ${value.searchable ? `searched, weight ${value.weight}` : 'not searched'}, ${value.onCard ? 'on the card' : 'not on the card'}. In the draft; “publish” makes it live.\n`,
  );
}
