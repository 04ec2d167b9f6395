import { type ReactNode, useState } from 'react';
import type { Badge } from '../../../../core/setup/parts/badges.ts';
import {
  badgeName,
  badgePlaceNames,
  badgePlaces,
  longestBadge,
  namesIn,
  savingName,
} from '../../../../core/setup/terms/badgeTerms.ts';
import { languageNames } from '../../../../core/text/languages.ts';
import { Badge as Drawn } from '../../../look/Badge.tsx';
import { Choice, TextField } from '../../parts/Controls.tsx';
import { ConditionEditor } from '../../parts/condition/ConditionEditor.tsx';
import { ConditionMet } from '../../parts/condition/ConditionMet.tsx';
import { WhenFields } from '../../parts/rule/WhenFields.tsx';
import { shelfRow } from '../../parts/Screen.tsx';
import { useAttributes } from '../../state/attributes.ts';
import { useShopLanguages } from '../../state/shopLanguages.ts';
import { ConditionedHead } from './ConditionedHead.tsx';

/** One badge: what it says, whom it is on, how it looks. */
export function BadgeRow({
  badge,
  grip,
  isChanged,
  change,
  remove,
}: {
  readonly badge: Badge;
  readonly grip: ReactNode;
  readonly isChanged: boolean;
  change(change: Partial<Badge>): void;
  remove(): void;
}) {
  const [isOpen, setOpen] = useState(false);
  const name = badgeName(badge);
  return (
    <div className={`${shelfRow(isChanged)} py-1.5 pr-2 pl-2`}>
      <ConditionedHead
        of={badge}
        name={name}
        switchLabel={`${name} shown`}
        setOn={(on) => change({ on })}
        {...{ grip, isOpen, setOpen, remove }}
      >
        <Drawn badge={{ ...badge, text: name }} />
      </ConditionedHead>
      {isOpen && (
        <div className="mt-1.5 space-y-2.5 border-t pt-2.5 pb-1 text-[13px]">
          <BadgeTexts {...{ badge, change }} />
          <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
            <span>
              Stands{' '}
              <Choice
                label={`Where ${name} stands`}
                value={badge.place}
                options={badgePlaces.map((place) => [place, badgePlaceNames[place]] as const)}
                change={(place) => change({ place })}
              />
            </span>
            <label className="inline-flex items-center gap-1.5">
              Colour
              <input
                type="color"
                aria-label={`Colour of ${name}`}
                className="h-6 w-9 rounded border p-0"
                value={badge.colour}
                onChange={(event) => change({ colour: event.target.value })}
              />
            </label>
          </div>
          <div>
            <p className="mb-1 font-semibold">On products for which</p>
            <ConditionEditor value={badge.condition} change={(next) => change({ condition: next })} />
            <ConditionMet condition={badge.condition} />
          </div>
          <WhenFields of={name} value={badge} change={({ from, until, yearly }) => change({ from, until, yearly })} />
        </div>
      )}
    </div>
  );
}

function BadgeTexts({ badge, change }: { readonly badge: Badge; change(change: Partial<Badge>): void }) {
  const languages = useShopLanguages();
  const { attributes = [] } = useAttributes();
  const known = new Set([savingName, 'sku', ...attributes.map(({ key }) => key)]);
  const named = [...new Set(Object.values(badge.text).flatMap((text) => namesIn(text)))];
  const unknown = named.filter((each) => !known.has(each));
  return (
    <div>
      <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
        {languages.map((language) => {
          const inIt = languages.length > 1 ? ` in ${languageNames[language]}` : '';
          const others = Object.entries(badge.text).filter(([other]) => other !== language);
          return (
            <span key={language} className="inline-flex items-center gap-1.5">
              Says{inIt}
              <TextField
                label={`What the badge says${inIt}`}
                value={badge.text[language] ?? ''}
                placeholder={badgeName(badge)}
                mayBeEmpty={others.length > 0}
                maxLength={longestBadge}
                change={(text) =>
                  change({ text: { ...Object.fromEntries(others), ...(text !== '' && { [language]: text }) } })
                }
              />
            </span>
          );
        })}
      </div>
      <p className="mt-1 text-soft">
        {`{saving} stands for the percentage saved, and an attribute’s key in braces, such as {brand}, for its value. A product that lacks it has no such badge.`}
      </p>
      {unknown.length > 0 && (
        <p role="status" className="mt-1 text-wrong">
          No attribute is called {unknown.map((each) => `{${each}}`).join(', ')}: no product has this badge.
        </p>
      )}
    </div>
  );
}
