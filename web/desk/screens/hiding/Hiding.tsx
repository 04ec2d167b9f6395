import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { hidingKey } from '../../../../core/setup/hidingKey.ts';
import type { Hiding as HidingEntry } from '../../../../core/setup/parts/hiding.ts';
import { call } from '../../../client/call.ts';
import { counted } from '../../../look/price.ts';
import { Picker, PickerItem } from '../../parts/Picker.tsx';
import { useProducts } from '../../parts/ProductLine.tsx';
import { ProductPicker } from '../../parts/ProductPicker.tsx';
import { FindAndSort } from '../../parts/rule/FindAndSort.tsx';
import type { HidingLimits } from '../../parts/rule/LimitFields.tsx';
import { LimitFields } from '../../parts/rule/LimitFields.tsx';
import { RulesFile } from '../../parts/rule/RulesFile.tsx';
import { inRuleOrder, type RuleOrder, ruleOrders } from '../../parts/rule/ruleOrder.ts';
import { Nothing, ScreenHead, Section, shelfRow } from '../../parts/Screen.tsx';
import { ShelfList } from '../../parts/ShelfList.tsx';
import { useConditionWords } from '../../state/conditionWords.ts';
import { useDeskState } from '../../state/deskState.ts';
import { edit } from '../../state/edits.ts';
import { madeNow } from '../../state/whenNow.ts';
import { ruleInWords } from '../rules/HouseRules.tsx';
import { useRuleFigures } from '../rules/ruleFigures.ts';
import { HideList } from './HideList.tsx';
import { HidingRow } from './HidingRow.tsx';

/** Arrange: what shoppers must not find: one product, all with a tag, all that meet a condition. */
export function Hiding() {
  const { setup } = useDeskState();
  const [limits, setLimits] = useState<HidingLimits>({});
  const [sought, setSought] = useState('');
  const [order, setOrder] = useState<RuleOrder>('name');
  const all = Object.values(setup.hiding);
  const products = useProducts(all.flatMap((hiding) => (hiding.what === 'product' ? [hiding.product] : [])));
  const { data } = useRuleFigures();
  const figures = new Map(data?.hidings.map((each) => [each.key, each]));
  const nameOf = (hiding: HidingEntry): string =>
    hiding.what === 'tag' ? hiding.tag : (products?.get(hiding.product)?.title ?? hiding.product);
  const found = all
    .map((hiding) => ({ hiding, key: hidingKey(hiding), name: nameOf(hiding) }))
    .filter(({ name, key }) => `${name} ${key}`.toLowerCase().includes(sought.toLowerCase()));
  const listed = inRuleOrder(found, order, ({ hiding, name }) => ({ ...hiding, name }));
  // By name, tags come first: each of them hides many.
  if (order === 'name') listed.sort((a, b) => Number(b.hiding.what === 'tag') - Number(a.hiding.what === 'tag'));
  const hide = (about: { what: 'product'; product: string } | { what: 'tag'; tag: string }): void => {
    const hiding: HidingEntry = { ...madeNow(setup), ...limits, ...about };
    void edit({ part: 'hiding', key: hidingKey(hiding), value: hiding });
  };
  return (
    <>
      <ScreenHead title="Hiding">
        Products hidden from shoppers: not in results, not in counts, not by part number, not pinned. A product’s own
        page keeps working.
      </ScreenHead>
      <div className="-mt-1.5 mb-2">
        <RulesFile part="hiding" />
      </div>
      <Section title="Hide more" note="From where and until when, then what. You can change both afterwards.">
        <div className="rounded-lg border bg-surface p-3">
          <LimitFields of="what is hidden next" value={limits} change={setLimits} />
          <div className="mt-3 flex flex-wrap gap-2">
            <ProductPicker
              label="Hide a product"
              chosen={new Set(all.flatMap((hiding) => (hiding.what === 'product' ? [hiding.product] : [])))}
              choose={({ id }) => hide({ what: 'product', product: id })}
            />
            <TagPicker
              hidden={new Set(all.flatMap((hiding) => (hiding.what === 'tag' ? [hiding.tag] : [])))}
              hide={(tag) => hide({ what: 'tag', tag })}
            />
            <HideList limits={limits} />
            <Link
              to="/house-rules/new"
              className="inline-flex items-center rounded-lg border bg-surface px-3 py-1.5 font-semibold hover:border-edge"
            >
              By a condition
            </Link>
          </div>
        </div>
      </Section>
      <Section title="Hidden now" note="Tags hide every product that has them, also those that get them later.">
        <FindAndSort<RuleOrder>
          label="Find what is hidden"
          count={all.length}
          sought={sought}
          find={setSought}
          order={order}
          orders={ruleOrders}
          sort={setOrder}
        />
        {listed.length === 0 ? (
          <Nothing>{sought ? 'Nothing hidden is called that.' : 'No product and no tag is hidden.'}</Nothing>
        ) : (
          <ShelfList label="What is hidden" items={listed} keyOf={({ key }) => key} rowHeight={64}>
            {({ hiding, key, name }) => (
              <HidingRow
                hiding={hiding}
                name={name}
                card={hiding.what === 'product' ? products?.get(hiding.product) : undefined}
                isKnown={products !== undefined}
                figures={figures.get(key)}
              />
            )}
          </ShelfList>
        )}
      </Section>
      <ByRule />
    </>
  );
}

/** House rules that hide: they are changed where rules are. */
function ByRule() {
  const { setup } = useDeskState();
  const inWords = useConditionWords();
  const { data } = useRuleFigures();
  const rules = Object.entries(setup.houseRules).filter(([, { does }]) => does.what !== 'pull');
  if (rules.length === 0) return null;
  return (
    <Section title="Hidden by house rules">
      <ul className="space-y-[5px]" aria-label="House rules that hide">
        {rules.map(([id, rule]) => {
          const products = data?.rules.find((each) => each.id === id)?.products;
          return (
            <li key={id} className={shelfRow(false)}>
              <Link to={`/house-rules/${encodeURIComponent(id)}`} className="block px-3 py-1.5 hover:text-press">
                <span className="font-semibold">{rule.name}</span>{' '}
                <span className="text-[12.5px] text-soft">
                  {ruleInWords(rule, inWords)}
                  {products !== undefined && ` · ${counted(products, 'product')}`}
                  {!rule.on && ' · switched off'}
                </span>
              </Link>
            </li>
          );
        })}
      </ul>
    </Section>
  );
}

function TagPicker({ hidden, hide }: { readonly hidden: ReadonlySet<string>; hide(tag: string): void }) {
  return (
    <Picker label="Hide a tag" find="Find a tag" placeholder="Type a tag">
      {(typed, close) => (
        <Tags
          typed={typed}
          hidden={hidden}
          hide={(tag) => {
            hide(tag);
            close();
          }}
        />
      )}
    </Picker>
  );
}

function Tags({
  typed,
  hidden,
  hide,
}: {
  readonly typed: string;
  readonly hidden: ReadonlySet<string>;
  hide(tag: string): void;
}) {
  const {
    data,
    error,
    isPlaceholderData: isStale,
  } = useQuery({
    queryKey: ['desk', 'tags', typed],
    placeholderData: keepPreviousData,
    queryFn: ({ signal }) => call('values', { query: { attribute: 'tags', contains: typed }, signal }),
  });
  return (
    <>
      {error && <p className="p-3 text-wrong">{error.message}</p>}
      {data?.values.length === 0 && <p className="p-3 text-soft">No tag is called that.</p>}
      {data?.values.map(({ value, products }) => (
        <PickerItem key={value} value={value} isChosen={hidden.has(value)} isStale={isStale} choose={() => hide(value)}>
          <span className="min-w-0 flex-1 truncate">{value}</span>
          <span className="text-[13px] text-soft">{counted(products, 'product')}</span>
        </PickerItem>
      ))}
    </>
  );
}
