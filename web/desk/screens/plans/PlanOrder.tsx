import { longest, most } from '../../../../core/setup/terms/limits.ts';
import { Choice } from '../../parts/Controls.tsx';
import { Section } from '../../parts/Screen.tsx';
import { TextChips } from '../../parts/TextChips.tsx';
import { useAttributes } from '../../state/attributes.ts';
import { PlanScope } from './PlanConditions.tsx';
import { type OfPlan, unlessEmpty } from './planPart.ts';

const directions = [
  ['high', 'highest first'],
  ['low', 'lowest first'],
] as const;

/** What is looked for and at, and in which order it stands. */
export function PlanOrder({ plan, save, isChanged }: OfPlan) {
  const { attributes = [] } = useAttributes();
  const { sort } = plan;
  const wordsOut = plan.wordsOut ?? [];
  return (
    <Section
      title="What is looked at, and its order"
      note="“scarlet paper” may look for scarlet alone, within what is paper."
    >
      <div className="space-y-2 text-[13px]">
        <div className="flex flex-wrap items-center gap-1.5">
          {wordsOut.length === 0 ? 'Every word is looked for.' : 'Not looked for:'}
          <TextChips
            texts={wordsOut}
            add="A word that is not looked for"
            placeholder="leave out a word"
            takeOff={(word) => `Look for ${word} again`}
            most={most.wordsOut}
            longest={longest.saying}
            change={(words) => save({ ...plan, wordsOut: unlessEmpty(words) })}
          />
        </div>
        <PlanScope plan={plan} save={save} isChanged={isChanged} />
        <div className="flex flex-wrap items-center gap-2">
          In order of
          <Choice
            label="What the results are ordered by"
            value={sort?.attribute ?? ''}
            options={[
              ['', 'relevance'],
              ...attributes.filter(({ isNumeric }) => isNumeric).map(({ key, label }) => [key, label] as const),
            ]}
            change={(attribute) =>
              save({
                ...plan,
                sort: attribute === '' ? undefined : { attribute, direction: sort?.direction ?? 'high' },
              })
            }
          />
          {sort && (
            <Choice
              label="Which end comes first"
              value={sort.direction}
              options={directions}
              change={(direction) => save({ ...plan, sort: { ...sort, direction } })}
            />
          )}
          {sort && <span className="text-soft">Pins and what stands first keep their places.</span>}
        </div>
      </div>
    </Section>
  );
}
