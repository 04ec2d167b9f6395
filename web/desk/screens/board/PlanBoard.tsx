import { ArrowLeft } from 'lucide-react';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { toast } from 'sonner';
import type { Result } from '../../../../core/answer/answer.ts';
import { own } from '../../../../core/base/named.ts';
import { arrange } from '../../../../core/rules/arrange.ts';
import { putPins } from '../../../../core/rules/putPins.ts';
import type { ShelfPlan } from '../../../../core/setup/parts/plans.ts';
import { spanInWords } from '../../../../core/setup/terms/span.ts';
import { counted } from '../../../look/price.ts';
import { Switch } from '../../parts/Controls.tsx';
import { AboutRule } from '../../parts/rule/AboutRule.tsx';
import { Loading, LoadProblem, Nothing, Section } from '../../parts/Screen.tsx';
import { useChanged } from '../../state/changed.ts';
import { useCollections } from '../../state/collections.ts';
import { useDeskState } from '../../state/deskState.ts';
import { edit, step } from '../../state/edits.ts';
import { withoutPin, withPull } from '../../state/planActs.ts';
import { useRoom } from '../../state/room.ts';
import { Conflicts } from '../plans/Conflicts.tsx';
import { PlanBanners } from '../plans/PlanBanners.tsx';
import { HiddenByPlan } from '../plans/PlanConditions.tsx';
import { PlanPulls } from '../plans/PlanPulls.tsx';
import { type OfPlan, unlessEmpty } from '../plans/planPart.ts';
import { Board } from './Board.tsx';
import { BoardTools } from './BoardTools.tsx';
import { permuted, pinnedAsIn } from './boardOrder.ts';
import { mostCards, useBoardCards } from './useBoardCards.ts';

/** A plan over the whole width: its products as cards, put in place by hand. */
export function PlanBoardScreen() {
  const { id = '' } = useParams();
  const { setup } = useDeskState();
  const plan = own(setup.plans, id);
  useRoom();
  if (plan) return <PlanBoard key={id} id={id} plan={plan} />;
  return (
    <Nothing>
      This plan is no longer there.{' '}
      <Link to="/plans" className="text-press underline">
        All shelf plans
      </Link>
    </Nothing>
  );
}

/** Where a plan's products are seen: one of its searches, or the page of one of its collections. */
type Shown = { readonly query: string; readonly collection: string };

/** The pins of a plan that do not wait: where it says so, those of sold-out products do. */
function pinsNow(cards: readonly Result[], { pins, pinsWait }: ShelfPlan): ShelfPlan['pins'] {
  const soldOut = new Set(pinsWait ? cards.filter(({ available }) => !available).map(({ familyId }) => familyId) : []);
  return pins.filter(({ product }) => !soldOut.has(product));
}

/** Cards as the plan has them by now, before the server has told how they stand. */
function arrangedNow(cards: readonly Result[], plan: ShelfPlan): Result[] {
  const pins = pinsNow(cards, plan);
  const isPinned = new Set(pins.map(({ product }) => product));
  const at = new Map(cards.map(({ familyId }, index) => [familyId, index]));
  const placed = pins
    .flatMap(({ product, place }) => {
      const candidate = at.get(product);
      return candidate === undefined ? [] : [{ candidate, place }];
    })
    .sort((a, b) => a.place - b.place);
  const others = cards.flatMap(({ familyId }, index) => (isPinned.has(familyId) ? [] : [index]));
  return arrange(placed, others, cards.length).map(({ candidate }) => cards[candidate]!);
}

function PlanBoard({ id, plan }: { readonly id: string; readonly plan: ShelfPlan }) {
  const collections = useCollections();
  const isChanged = useChanged('plans')(id);
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const ways: (Shown & { readonly text: string })[] = [
    ...plan.searches.map((query) => ({ query, collection: '', text: query })),
    ...(plan.collections ?? []).map((collection) => ({
      ...{ query: '', collection },
      text: `page of ${collections.find((each) => each.id === collection)?.title ?? collection}`,
    })),
  ];
  const [wanted, setWanted] = useState(0);
  const way = ways[wanted] ?? ways[0];
  const { data, error, refetch } = useBoardCards({
    ...{ query: way?.query ?? '', collection: way?.collection ?? '', device: plan.devices?.[0] },
    filters: Object.fromEntries((plan.whenChosen ?? []).map(({ filter, values }) => [filter, values.slice(0, 1)])),
  });
  const save = (value: ShelfPlan): void => void edit({ part: 'plans', key: id, value });
  const tell = (message: string): void =>
    void toast(message, { id: 'board', action: { label: 'Undo', onClick: () => void step('undo') } });
  const of: OfPlan = { plan, save, isChanged };
  const cards = data ? arrangedNow(data.results, plan) : [];
  const order = cards.map(({ familyId }) => familyId);
  const pinnedHere = new Set(plan.pins.map(({ product }) => product));
  const inPlace = new Set([...pinsNow(data?.results ?? [], plan).map(({ product }) => product), ...(plan.first ?? [])]);
  const put = (products: readonly string[], place: number): void => {
    save({ ...plan, pins: putPins(plan.pins, products, place) });
    tell(`${counted(products.length, 'product')} pinned from place ${place} on`);
  };
  const each = (products: readonly string[], change: (plan: ShelfPlan, product: string) => ShelfPlan): void =>
    save(products.reduce(change, plan));
  return (
    <>
      <Link to="/plans" className="inline-flex items-center gap-1 text-[13px] text-soft hover:text-ink">
        <ArrowLeft size={14} aria-hidden /> All shelf plans
      </Link>
      <div className="mt-1 mb-2 flex flex-wrap items-center gap-x-4 gap-y-1">
        <h1 className="mr-auto font-display font-semibold text-[25px] leading-tight tracking-tight">{plan.name}</h1>
        {spanInWords(plan) !== '' && (
          <span className="rounded-full border px-2.5 text-[13px]">{spanInWords(plan)}</span>
        )}
        <Switch
          label="The plan is in force"
          shown={plan.on ? 'In force' : 'Switched off'}
          isOn={plan.on}
          change={(on) => save({ ...plan, on })}
        />
        <Link
          to={`/plans/${encodeURIComponent(id)}`}
          className="rounded-lg border bg-surface px-3.5 py-[6.5px] font-semibold hover:border-edge"
        >
          Beside the shop
        </Link>
      </div>
      <div className="mb-3 flex flex-wrap items-center gap-1.5 text-[13px]">
        <span className="text-soft">When a shopper searches or opens</span>
        {ways.map(({ text, query, collection }, at) => (
          <button
            key={`${query}/${collection}`}
            type="button"
            aria-pressed={ways[at] === way}
            className="min-h-6 rounded-full border px-2.5 aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-paper"
            onClick={() => {
              setWanted(at);
              setChosen(new Set());
            }}
          >
            {text}
          </button>
        ))}
      </div>
      <div className="grid gap-x-5 gap-y-6 min-[900px]:grid-cols-[minmax(0,1fr)_290px]">
        <div className="min-w-0">
          {!way && <Nothing>The plan holds for nothing yet. Beside the shop you can say for which searches.</Nothing>}
          {!plan.on && way && (
            <p className="mb-2 text-[13px] text-on-changed">
              It is switched off: what you arrange shows once it is in force.
            </p>
          )}
          {error && !data && <LoadProblem error={error} again={() => void refetch()} />}
          {!error && !data && way && <Loading what="Fetching the products" />}
          {data && way && cards.length === 0 && data.gaps?.length === 0 && (
            <Nothing>Nothing is found for this. Add a product, or bring one in beside the shop.</Nothing>
          )}
          {data && way && (
            <Board
              label={`Products for ${way.text}`}
              cards={cards}
              gaps={(data.gaps ?? []).filter(({ product, plan: by }) => by.id !== id || pinnedHere.has(product))}
              isFixed={({ familyId, marks }) =>
                inPlace.has(familyId) || (marks?.pin !== undefined && marks.pin.id !== id)
              }
              chosen={chosen}
              setChosen={setChosen}
              put={put}
              lineText={`From here on by ${plan.sort ? 'the plan’s order' : 'relevance'}. Drag a card to a place to pin it there; with Shift or Ctrl choose several.`}
            >
              <BoardTools
                order={order}
                chosen={chosen}
                clear={() => setChosen(new Set())}
                put={put}
                sort={(sorted) => {
                  save({ ...plan, pins: pinnedAsIn(plan.pins, permuted(order, sorted), sorted) });
                  tell(`${counted(sorted.length, 'product')} sorted among their places`);
                }}
                known={pinnedHere}
                add={(product) => put([product], 1)}
                acts={[
                  { label: 'Boost', run: (some) => each(some, (to, product) => withPull(to, product, 2)) },
                  { label: 'Lower', run: (some) => each(some, (to, product) => withPull(to, product, 0.5)) },
                  {
                    label: 'Hide here',
                    run: (some) => {
                      const hides = new Set([...(plan.hides ?? []), ...some]);
                      save({ ...some.reduce(withoutPin, plan), hides: [...hides] });
                      setChosen(new Set());
                      tell(`${counted(some.length, 'product')} hidden for the plan’s searches`);
                    },
                  },
                  {
                    label: 'Take off',
                    run: (some) => {
                      const without = some.reduce((to, product) => withPull(withoutPin(to, product), product, 1), plan);
                      save({ ...without, first: unlessEmpty((plan.first ?? []).filter((one) => !some.includes(one))) });
                      tell(`${counted(some.length, 'product')} stand by their own score`);
                    },
                  },
                ]}
              />
            </Board>
          )}
          {data && data.total > mostCards && (
            <p className="mt-2 text-[13px] text-soft">
              The first {mostCards} of {counted(data.total, 'product')}.
            </p>
          )}
        </div>
        <aside aria-label="What this plan does" className="min-w-0">
          <Conflicts id={id} plan={plan} />
          <PlanPulls id={id} {...of} />
          <HiddenByPlan {...of} />
          <PlanBanners {...of} />
          <Section title="For later">
            <AboutRule value={plan} change={(about) => save({ ...plan, ...about })} />
          </Section>
        </aside>
      </div>
    </>
  );
}
