import { chosenFilters } from '../../api/filterParameters.ts';
import { unknownName } from '../../api/problem.ts';
import { type ProductAct, productEndpoints, type Which } from '../../api/productEndpoints.ts';
import { cellText } from '../../core/browse/listedRow.ts';
import type { ListRequest } from '../../core/browse/listProducts.ts';
import { type AttributeProfile, isOfVariants } from '../../core/catalog/profileAttributes.ts';
import { type CatalogRecord, firstText } from '../../core/catalog/record.ts';
import { decisionsByProduct, standingOf, untouchable } from '../../core/rules/decisions.ts';
import { readCell, tagEdit, valueEdit } from '../../core/rules/productEdits.ts';
import { describeChange } from '../../core/setup/describeChange.ts';
import { hidingKey } from '../../core/setup/hidingKey.ts';
import type { Setup } from '../../core/setup/schema.ts';
import type { EntryEdit } from '../../core/setup/withEntry.ts';
import { takeFacts } from '../catalog/facts.ts';
import type { WriteOutcome } from '../store/setupStore.ts';
import { deskState, groupOf, namesFrom } from './deskState.ts';
import { rulesAbout } from './rulesAbout.ts';
import type { Services } from './services.ts';
import { noCatalog, Refused, type Serve } from './serving.ts';

/** Products that one act may change: a draft stays something that can be read. */
const mostProducts = 20_000;

const wholeList = (request: Pick<ListRequest, 'query' | 'filters' | 'missing' | 'state'>): ListRequest => ({
  ...request,
  kind: 'products',
  sort: '',
  direction: 'up',
});

/** Looking through the catalog, and deciding about its products. */
export function serveProducts(
  serve: Serve,
  services: Services,
  written: (outcome: WriteOutcome) => ReturnType<typeof deskState>,
  who: (context: never) => string,
): void {
  const { setups, catalogs, searcher, folder, now } = services;
  const inForce = () => {
    const standing = catalogs.standing();
    if (!standing) throw noCatalog();
    return standing;
  };
  const catalogTask = () => {
    const { reader } = inForce();
    return { generation: reader.generation, shared: reader.buffer };
  };
  const profileOf = (attribute: string): AttributeProfile => {
    const { attributes } = inForce().reader.snapshot;
    const profile = attributes.find(({ key }) => key === attribute);
    if (profile) return profile;
    const known = attributes.map(({ key }) => key);
    throw new Refused(400, {
      code: 'unknown-attribute',
      message: unknownName('attribute', attribute, known),
      field: attribute,
    });
  };
  const factsOf = (product: string): CatalogRecord[] => {
    const { reader } = inForce();
    const family = reader.snapshot.findFamily(product);
    if (family < 0)
      throw new Refused(400, {
        code: 'unknown-product',
        message: `There is no product “${product}” in the catalog.`,
        field: product,
      });
    const [from, to] = reader.snapshot.recordsOf(family);
    return Array.from({ length: to - from }, (_, at) => reader.record(from + at));
  };
  const valueFor = (attribute: string, text: string) => {
    const reading = readCell(profileOf(attribute), text);
    if ('refusal' in reading)
      throw new Refused(400, { code: 'invalid-value', message: reading.refusal, field: attribute });
    return reading.value;
  };
  const idsOf = async (which: Which): Promise<readonly string[]> => {
    if ('ids' in which) return [...new Set(which.ids)];
    const { q, filters, missing, state, except } = which.list;
    const request = wholeList({ query: q, filters, missing, state });
    const leftOut = new Set(except);
    return (await searcher.productIds({ ...catalogTask(), request })).filter((product) => !leftOut.has(product));
  };

  serve(
    productEndpoints.rows,
    ({ q, columns, missing, state, kind, sort, direction, offset, count, ...rest }) =>
      searcher.rows({
        ...catalogTask(),
        request: { query: q, filters: chosenFilters(rest), missing, state, kind, sort, direction },
        columns,
        offset,
        count,
      }) as never,
  );

  serve(productEndpoints.product, async ({ id, searches }) => {
    const standing = inForce();
    const setup = setups.draft();
    const view = standing.view(setup);
    const facts = factsOf(id);
    const [from] = view.snapshot.recordsOf(view.snapshot.findFamily(id));
    const records = facts.map((_, at) => view.record(from + at));
    const about = decisionsByProduct(setup).get(id) ?? [];
    const names = namesFrom(catalogs);
    const attributes = view.snapshot.attributes.filter(({ key }) => key !== 'sku');
    return {
      id,
      title: firstText(records[0]!.values.title),
      picture: firstText(records[0]!.values.picture) || null,
      attributes: attributes.map((profile) => ({
        key: profile.key,
        label: profile.label,
        ofVariants: isOfVariants(profile),
        canDecide: !untouchable.has(profile.key),
        wins: setup.attributes[profile.key]?.wins ?? 'here',
      })),
      variants: records.map((record, at) => ({
        id: record.id,
        sku: record.sku,
        values: Object.fromEntries(
          attributes
            .map(
              ({ key }) =>
                [
                  key,
                  {
                    text: cellText(record, key),
                    fact: cellText(facts[at]!, key),
                    ...standingOf(facts[at]!, key, about, setup),
                  },
                ] as const,
            )
            .filter(([, { text, fact }]) => text !== '' || fact !== ''),
        ),
      })),
      decisions: Object.entries(setup.products)
        .filter(([, decision]) => decision.product === id)
        .map(([key, decision]) => ({
          key,
          decision,
          told: describeChange({ part: 'products', key, before: null, after: decision }, names)[0]!,
        })),
      rules: rulesAbout(setup, records, id),
      searches: await searcher.places(catalogTask(), id, searches === undefined ? [] : [searches].flat()),
    };
  });

  serve(productEndpoints.editCells, (_, { revision, cells }, context) => {
    const edits = cells.map(({ product, variant, attribute, text }): EntryEdit => {
      const value = valueFor(attribute, text);
      return valueEdit(factsOf(product), { product, variant, attribute }, value);
    });
    return written(setups.edit(edits, revision, who(context as never), now()));
  });

  function actOn(setup: Setup, product: string, what: ProductAct): EntryEdit[] {
    switch (what.act) {
      case 'addTag':
        return [tagEdit(setup, factsOf(product), product, { add: what.tag })];
      case 'removeTag':
        return [tagEdit(setup, factsOf(product), product, { remove: what.tag })];
      case 'set':
        return [
          valueEdit(
            factsOf(product),
            { product, variant: null, attribute: what.attribute },
            valueFor(what.attribute, what.text),
          ),
        ];
      case 'giveUp':
        return Object.entries(setup.products)
          .filter(
            ([, decision]) =>
              decision.product === product && (what.attribute === null || decision.attribute === what.attribute),
          )
          .map(([key]) => ({ part: 'products', key, value: null }));
      default: {
        const hiding = {
          what: 'product' as const,
          product,
          ...(what.act === 'hide' && what.from && { from: what.from }),
        };
        return [{ part: 'hiding', key: hidingKey(hiding), value: what.act === 'hide' ? hiding : null }];
      }
    }
  }

  serve(productEndpoints.editProducts, async (_, { revision, which, what }, context) => {
    const ids = await idsOf(which);
    if (ids.length > mostProducts)
      throw new Refused(400, {
        code: 'too-many-products',
        message: `These are ${ids.length} products; at most ${mostProducts} can be changed in one step. Choose fewer, or change the file.`,
      });
    const setup = setups.draft();
    const edits = ids
      .flatMap((product) => actOn(setup, product, what))
      .filter(({ part, key, value }) => value !== null || key in setup[part]);
    if (edits.length === 0) return { products: 0, state: deskState(setups, catalogs) };
    const state = written(setups.edit(edits, revision, who(context as never), now()));
    return { products: new Set(edits.map(({ key }) => key)).size, state };
  });

  serve(productEndpoints.giveUp, (_, { revision, group }, context) => {
    const edits = setups
      .changes()
      .filter((change) => groupOf(change) === group)
      .map(({ part, key, before }): EntryEdit => ({ part, key, value: before }));
    if (edits.length === 0) return deskState(setups, catalogs);
    return written(setups.edit(edits, revision, who(context as never), now()));
  });

  serve(productEndpoints.facts, (_, { records }) => {
    const { reader } = inForce();
    const { changed, unknown } = takeFacts(folder, reader.generation, records as never);
    if (changed > 0) catalogs.noteFacts(now());
    return { changed, unknown: [...unknown] };
  });

  const freshness = () => {
    const info = catalogs.info();
    const standing = catalogs.standing();
    const factsAt = catalogs.factsAt();
    return {
      importedAt: info ? new Date(info.at).toISOString() : '',
      factsAt: factsAt === null ? null : new Date(factsAt).toISOString(),
      version: `${standing?.reader.generation ?? 0}/${standing?.facts ?? 0}`,
      feed: { isOn: services.feed.isOn(), changed: services.feed.changed() },
    };
  };
  serve(productEndpoints.freshness, freshness);
  serve(productEndpoints.feed, (_, { isOn }) => {
    services.feed.set(isOn);
    return freshness();
  });
}
