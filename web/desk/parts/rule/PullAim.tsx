import { useState } from 'react';
import { toast } from 'sonner';
import { most } from '../../../../core/setup/terms/limits.ts';
import type { Pulled } from '../../../../core/setup/terms/pullTerms.ts';
import { call } from '../../../client/call.ts';
import { count, counted } from '../../../look/price.ts';
import { Button } from '../Button.tsx';
import { Choice, NumberField } from '../Controls.tsx';

/** Places among which products are wanted at first. */
const usualFirst = 8;

/** The strength told as an aim: how far up products are wanted, from which the least strength that does it is worked out. */
export function PullAim({
  pulled,
  title,
  searches,
  change,
}: {
  readonly pulled: Pulled;
  /** What is meant by it, as its controls are called. */
  readonly title: string;
  /** Searches it may be told for; without any there is nothing to work out. */
  readonly searches: readonly string[];
  change(pull: number): void;
}) {
  const [first, setFirst] = useState(usualFirst);
  const [many, setMany] = useState(1);
  const [chosen, setChosen] = useState('');
  const [isAsking, setAsking] = useState(false);
  const search = searches.includes(chosen) ? chosen : searches[0];
  const isSingle = pulled.of === 'product';
  const wanted = isSingle ? `“${title}”` : counted(many, 'of these products', 'of these products');
  if (search === undefined) return null;
  const workOut = async (): Promise<void> => {
    setAsking(true);
    try {
      const { pull, place } = await call('pullFor', { body: { pulled, search, first, many } });
      if (pull === null)
        toast.error(`No strength brings ${wanted} among the first ${first}`, {
          description:
            place === null
              ? `“${search}” does not find ${isSingle ? 'it: bring it in, or pin it' : 'so many of them near the top'}.`
              : `The strongest brings ${isSingle ? 'it' : 'the last of them'} to place ${place}${isSingle ? ': pin it instead' : ''}.`,
        });
      else {
        change(pull);
        if (pull === 1)
          toast(`${isSingle ? `“${title}” stands` : `${count(many)} of these stand`} there without being boosted`, {
            description: `Among the first ${place} for “${search}”, as the search orders them.`,
          });
        else
          toast(
            isSingle
              ? `×${pull} brings ${wanted} to place ${place} for “${search}”`
              : `×${pull} brings ${wanted} among the first ${place} for “${search}”`,
            { description: 'The least that is enough.' },
          );
      }
    } catch (error) {
      toast.error('The strength could not be worked out', { description: (error as Error).message });
    }
    setAsking(false);
  };
  return (
    <div className="mt-1 flex flex-wrap items-center gap-1.5 text-[13px] text-soft">
      {isSingle ? (
        'or among the first'
      ) : (
        <>
          or at least
          <NumberField
            label={`How many of ${title} are wanted there`}
            className="w-[52px]"
            value={many}
            least={1}
            most={most.place}
            change={(to) => setMany(Math.round(to))}
          />
          of them among the first
        </>
      )}
      <NumberField
        label={isSingle ? `Places among which ${title} is wanted` : `Places among which they are wanted: ${title}`}
        className="w-[52px]"
        value={first}
        least={1}
        most={most.place}
        change={(to) => setFirst(Math.round(to))}
      />
      {searches.length > 1 ? (
        <Choice
          label={`Search in which ${title} is wanted there`}
          className="max-w-[150px]"
          value={search}
          options={searches.map((each) => [each, `for “${each}”`] as const)}
          change={setChosen}
        />
      ) : (
        !isSingle && <span>for “{search}”</span>
      )}
      <Button className="px-2.5 py-0.5 text-[13px]" disabled={isAsking} onClick={() => void workOut()}>
        Work it out
      </Button>
    </div>
  );
}
