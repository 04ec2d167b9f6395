import { useState } from 'react';
import { toast } from 'sonner';
import { most } from '../../../../core/setup/terms/limits.ts';
import { call } from '../../../client/call.ts';
import { Button } from '../../parts/Button.tsx';
import { Choice, NumberField } from '../../parts/Controls.tsx';

/** Where a product is wanted at first. */
const usualFirst = 8;

/** The strength told as an aim: how far up the product is wanted, from which the least strength that does it is worked out. */
export function PullAim({
  id,
  product,
  title,
  searches,
  change,
}: {
  readonly id: string;
  readonly product: string;
  readonly title: string;
  readonly searches: readonly string[];
  change(pull: number): void;
}) {
  const [first, setFirst] = useState(usualFirst);
  const [chosen, setChosen] = useState('');
  const [isAsking, setAsking] = useState(false);
  const search = searches.includes(chosen) ? chosen : searches[0];
  if (search === undefined) return null;
  const workOut = async (): Promise<void> => {
    setAsking(true);
    try {
      const { pull, place } = await call('pullFor', { body: { plan: id, product, search, first } });
      if (pull === null)
        toast.error(`No strength brings “${title}” among the first ${first}`, {
          description:
            place === null
              ? `“${search}” does not find it: bring it in, or pin it.`
              : `The strongest brings it to place ${place}: pin it instead.`,
        });
      else {
        change(pull);
        toast(`×${pull} brings “${title}” to place ${place} for “${search}”`, {
          description: 'The least that is enough.',
        });
      }
    } catch (error) {
      toast.error('The strength could not be worked out', { description: (error as Error).message });
    }
    setAsking(false);
  };
  return (
    <div className="mt-1 flex flex-wrap items-center gap-1.5 text-[13px] text-soft">
      or among the first
      <NumberField
        label={`Places among which ${title} is wanted`}
        className="w-[52px]"
        value={first}
        least={1}
        most={most.place}
        change={(to) => setFirst(Math.round(to))}
      />
      {searches.length > 1 && (
        <Choice
          label={`Search in which ${title} is wanted there`}
          className="max-w-[150px]"
          value={search}
          options={searches.map((each) => [each, `for “${each}”`] as const)}
          change={setChosen}
        />
      )}
      <Button className="px-2.5 py-0.5 text-[13px]" disabled={isAsking} onClick={() => void workOut()}>
        Work it out
      </Button>
    </div>
  );
}
