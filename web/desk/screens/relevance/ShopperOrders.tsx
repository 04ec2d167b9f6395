import { X } from 'lucide-react';
import type { SortingOrder } from '../../../../core/setup/parts/relevance/sorting.ts';
import { longest, most } from '../../../../core/setup/terms/limits.ts';
import { IconButton } from '../../parts/Button.tsx';
import { Choice, TextField } from '../../parts/Controls.tsx';
import { Section, shelfRow } from '../../parts/Screen.tsx';
import { SortableList } from '../../parts/SortableList.tsx';
import { useAttributes } from '../../state/attributes.ts';
import { useItemChanged } from '../../state/changed.ts';
import { useDeskState } from '../../state/deskState.ts';
import { edit } from '../../state/edits.ts';
import { newOrderKey } from './newOrderKey.ts';
import { directions, signalChoices, signalId } from './signalChoices.ts';

/** The menu with which shoppers put results in another order. */
export function ShopperOrders() {
  const { setup } = useDeskState();
  const { attributes } = useAttributes();
  const isChanged = useItemChanged('relevance', 'sorting');
  const { orders } = setup.relevance.sorting;
  const choices = signalChoices(attributes ?? []);
  const save = (next: readonly SortingOrder[]): void =>
    void edit({ part: 'relevance', key: 'sorting', value: { orders: [...next] } });
  const replace = (key: string, next: SortingOrder): void =>
    save(orders.map((order) => (order.key === key ? next : order)));
  return (
    <Section
      title="Sorting menu"
      note={
        orders.length === 1
          ? 'Shoppers see no menu while relevance is the only order.'
          : 'What shoppers may sort by, in this order. Pins and close calls hold for relevance only; sold out holds for all.'
      }
    >
      <SortableList
        label="Orders of the shopper’s sorting menu"
        items={orders.map((order) => ({ ...order, id: order.key, name: order.label }))}
        move={(_, from, to) => {
          const next = orders.filter((__, index) => index !== from);
          next.splice(to, 0, orders[from]!);
          save(next);
        }}
      >
        {({ key, label, signals }, grip) => {
          const [signal] = signals;
          return (
            <div
              className={`${shelfRow(isChanged((entry) => (entry as { orders: readonly SortingOrder[] }).orders.find((each) => each.key === key)))} flex flex-wrap items-center gap-2 py-1.5 pr-2 pl-2`}
            >
              {grip}
              <TextField
                label={`Name of the order ${label}`}
                value={label}
                maxLength={longest.orderLabel}
                className="min-w-0 flex-1 font-semibold"
                change={(next) => replace(key, { key, label: next, signals })}
              />
              {signal ? (
                <>
                  <span className="text-[13px] text-soft">
                    {choices.find(({ id }) => id === signalId(signal))?.label ??
                      choices.find(({ signal: own }) => own.attribute === signal.attribute)?.label ??
                      signal.attribute}
                  </span>
                  <Choice
                    label={`Direction of the order ${label}`}
                    value={signal.direction}
                    options={directions(signal, attributes?.find((row) => row.key === signal.attribute)?.kind)}
                    change={(direction) =>
                      replace(key, { key, label, signals: [{ ...signal, direction }, ...signals.slice(1)] })
                    }
                  />
                  <IconButton
                    label={`Take the order ${label} off the menu`}
                    onClick={() => save(orders.filter((order) => order.key !== key))}
                  >
                    <X size={15} aria-hidden />
                  </IconButton>
                </>
              ) : (
                <span className="pr-1 text-[13px] text-soft">by relevance; what a search begins with</span>
              )}
            </div>
          );
        }}
      </SortableList>
      {orders.length < most.orders && choices.length > 0 && (
        <div className="mt-2">
          <Choice
            label="Add an order to the sorting menu"
            value=""
            options={[['', 'Add an order …'], ...choices.map(({ id, label }): [string, string] => [id, label])]}
            change={(id) => {
              const choice = choices.find((each) => each.id === id);
              if (!choice) return;
              const { label, signal } = choice;
              save([...orders, { key: newOrderKey(signal, orders), label, signals: [signal] }]);
            }}
          />
        </div>
      )}
    </Section>
  );
}
