import { Plus } from 'lucide-react';
import { type ReactNode, useState } from 'react';
import { useParams } from 'react-router';
import { badgeStarters, newBadge } from '../../../../core/setup/badgeStarters.ts';
import { idFor } from '../../../../core/setup/idFor.ts';
import type { Badge, Badges } from '../../../../core/setup/parts/badges.ts';
import { badgeName, longestBadge, mostBadges, mostOnCard } from '../../../../core/setup/terms/badgeTerms.ts';
import { Button } from '../../parts/Button.tsx';
import { comesLater } from '../../parts/ComesLater.tsx';
import { NumberField, TextField } from '../../parts/Controls.tsx';
import { ConditionEditor } from '../../parts/condition/ConditionEditor.tsx';
import { PageTabs } from '../../parts/PageTabs.tsx';
import { Nothing, ScreenHead, Section } from '../../parts/Screen.tsx';
import { SortableList } from '../../parts/SortableList.tsx';
import { useAttributes } from '../../state/attributes.ts';
import { useItemChanged } from '../../state/changed.ts';
import { useDeskState } from '../../state/deskState.ts';
import { edit } from '../../state/edits.ts';
import { BadgeRow } from './BadgeRow.tsx';
import { BesidesFields } from './BesidesFields.tsx';
import { CardFields } from './CardFields.tsx';
import { LayoutFields } from './LayoutFields.tsx';
import { LookFields } from './LookFields.tsx';
import { PageFields } from './PageFields.tsx';

/** What reads style sheets is large, and few need it. */
const StyleFields = comesLater(
  async () => (await import('./StyleFields.tsx')).StyleFields,
  <Nothing>Opening …</Nothing>,
);

const pages = [
  { to: '/results-page', label: 'Layout', part: 'resultsPage', keys: ['layout', 'begin'] },
  { to: '/results-page/page', label: 'Page', part: 'resultsPage', keys: ['page'] },
  { to: '/results-page/card', label: 'Card', part: 'resultsPage', keys: ['card', 'ownCards'] },
  { to: '/results-page/content', label: 'Other content', part: 'resultsPage', keys: ['besides'] },
  { to: '/results-page/look', label: 'Look', part: 'look', keys: ['shop'] },
  { to: '/results-page/style', label: 'Style sheet', part: 'look', keys: ['style'] },
  { to: '/results-page/badges', label: 'Badges', part: 'badges', keys: ['shown'] },
] satisfies { to: string; label: string; part: string; keys: string[] }[];

const shownPages: Readonly<Record<string, ReactNode>> = {
  page: <PageFields />,
  card: <CardFields />,
  content: <BesidesFields />,
  look: <LookFields />,
  style: <StyleFields />,
  badges: <BadgeList />,
};

/** Shopfront: how the results stand, and what is on their cards. */
export function ResultsPageScreen() {
  const { page } = useParams();
  const { changes } = useDeskState();
  const shown = pages.map(({ part, keys, ...each }) => ({
    ...each,
    isChanged: changes.some((change) => change.part === part && keys.includes(change.key)),
  }));
  return (
    <>
      <ScreenHead title="Results page">
        How the shop looks, how products stand in the results, and what is on their cards.
      </ScreenHead>
      <PageTabs label="The results page" pages={shown} />
      {shownPages[page ?? ''] ?? <LayoutFields />}
    </>
  );
}

function BadgeList() {
  const { setup } = useDeskState();
  const { shown } = setup.badges;
  const isChanged = useItemChanged('badges', 'shown');
  const save = (change: Partial<Badges>): void =>
    void edit({ part: 'badges', key: 'shown', value: { ...shown, ...change } });
  const { list, most } = shown;
  const inOrder = (from: number, to: number): Badge[] => {
    const next = [...list];
    next.splice(to, 0, ...next.splice(from, 1));
    return next;
  };
  const badgeIn = (entry: unknown, key: string): unknown =>
    (entry as Badges | null)?.list.find((badge) => badge.key === key);
  return (
    <Section
      title="Badges"
      note="Small texts on the cards of products that meet a condition. A card has the first ones of the list that fit it."
      aside={
        <span className="text-[13px]">
          up to{' '}
          <NumberField
            label="Badges on a card at most"
            value={most}
            least={1}
            most={mostOnCard}
            className="w-[52px]"
            change={(value) => save({ most: Math.round(value) })}
          />{' '}
          on a card
        </span>
      }
    >
      {list.length === 0 && <Nothing>No badges: cards show only the product.</Nothing>}
      <SortableList
        label="Badges, in order"
        items={list.map((badge) => ({ id: badge.key, name: badgeName(badge), badge }))}
        move={(_, from, to) => save({ list: inOrder(from, to) })}
      >
        {({ badge }, grip) => (
          <BadgeRow
            badge={badge}
            grip={grip}
            isChanged={isChanged((entry) => badgeIn(entry, badge.key))}
            change={(change) =>
              save({ list: list.map((each) => (each.key === badge.key ? { ...each, ...change } : each)) })
            }
            remove={() => save({ list: list.filter((each) => each.key !== badge.key) })}
          />
        )}
      </SortableList>
      <NewBadge list={list} add={(badge) => save({ list: [...list, badge] })} />
    </Section>
  );
}

/** Begins a badge: one that many shops have, or one with a text and a condition of one's own. */
function NewBadge({ list, add }: { readonly list: readonly Badge[]; add(badge: Badge): void }) {
  const { attributes = [] } = useAttributes();
  const [isOpen, setOpen] = useState(false);
  const [text, setText] = useState('');
  const isTaken = (key: string): boolean => list.some((badge) => badge.key === key);
  const starters = badgeStarters(new Set(attributes.map(({ key }) => key))).filter(({ badge }) => !isTaken(badge.key));
  if (list.length >= mostBadges) return null;
  return (
    <div className="mt-3">
      <div className="flex flex-wrap items-center gap-2 text-[13px]">
        {starters.map(({ name, badge }) => (
          <Button key={badge.key} className="py-1 text-[13px]" onClick={() => add(badge)}>
            <Plus size={14} aria-hidden /> {name}
          </Button>
        ))}
        <Button className="py-1 text-[13px]" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
          <Plus size={14} aria-hidden /> One of your own …
        </Button>
      </div>
      {isOpen && (
        <div className="mt-2.5 space-y-2 text-[13px]">
          <span className="inline-flex items-center gap-1.5">
            Says
            <TextField
              label="What the new badge says"
              value={text}
              mayBeEmpty
              maxLength={longestBadge}
              change={setText}
            />
          </span>
          {text === '' ? (
            <p className="text-soft">Say what it says, and then which products it is on.</p>
          ) : (
            <ConditionEditor
              value={null}
              change={(condition) => {
                add(newBadge(idFor(text, isTaken), text, condition));
                setOpen(false);
                setText('');
              }}
            />
          )}
        </div>
      )}
    </div>
  );
}
