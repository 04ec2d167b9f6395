import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { named } from '../../../../core/base/named.ts';
import { longest } from '../../../../core/setup/terms/limits.ts';
import { planHowTexts, usualHow } from '../../../../core/setup/terms/planTerms.ts';
import { call } from '../../../client/call.ts';
import { AddressField } from '../../parts/AddressField.tsx';
import { Button } from '../../parts/Button.tsx';
import { Switch } from '../../parts/Controls.tsx';
import { RulesFile } from '../../parts/rule/RulesFile.tsx';
import { LoadProblem, Nothing, ScreenHead, Section } from '../../parts/Screen.tsx';
import { ShelfList } from '../../parts/ShelfList.tsx';
import { useDeskState } from '../../state/deskState.ts';
import { edit } from '../../state/edits.ts';
import { planFor } from '../../state/planActs.ts';
import { usePagesAsked } from './pagesAsked.ts';
import { RedirectRow, type RedirectShown } from './RedirectRow.tsx';

const rowHeight = 92;

/** Arrange: every search that leads to a page instead of results, in one list. */
export function Redirects() {
  const { setup, revision } = useDeskState();
  const { data, error, refetch } = useQuery({
    queryKey: ['desk', 'redirects', revision],
    placeholderData: keepPreviousData,
    queryFn: ({ signal }) => call('redirects', { signal }),
  });
  const useOf = named(data?.redirects.map((each) => [`${each.of} ${each.id}`, each]));
  const plans = Object.entries(setup.plans).flatMap(([id, plan]): RedirectShown[] =>
    plan.redirect === undefined
      ? []
      : [
          {
            ...{ of: 'plan', id, name: plan.name, on: plan.on, link: plan.redirect, use: useOf[`plan ${id}`] },
            held: [
              ...plan.searches.map((search) => `“${search}”`),
              ...((plan.collections ?? []).length > 0 ? ['pages of collections'] : []),
            ],
            how: planHowTexts[plan.how ?? usualHow].toLowerCase(),
          },
        ],
  );
  const pages = Object.entries(setup.specialShelves).flatMap(([id, page]): RedirectShown[] =>
    page.link === undefined
      ? []
      : [
          {
            ...{ of: 'page', id, name: page.name, on: page.on, link: page.link, use: useOf[`page ${id}`] },
            held: page.words.map((word) => `“${word}”`),
            how: 'where nothing is found',
          },
        ],
  );
  const rows = [...plans, ...pages].sort(
    (a, b) => (b.use?.times ?? 0) - (a.use?.times ?? 0) || (a.name < b.name ? -1 : 1),
  );
  const asked = usePagesAsked();
  /** Pages that no catalog knows, each once: they can only be asked for. */
  const pagesBesides = [
    ...new Set(
      rows.flatMap(({ use, link }) =>
        use?.target === 'page' || (use?.target === 'elsewhere' && /^(https?:)?\/\//i.test(link)) ? [link] : [],
      ),
    ),
  ];
  return (
    <>
      <ScreenHead title="Redirects">
        Searches that lead to a page instead of results. They are shelf plans, or special pages of the empty shelf; here
        they stand in one list.
      </ScreenHead>
      <div className="-mt-1.5 mb-2">
        <RulesFile part="redirects" />
      </div>
      <NewRedirect />
      <Section
        title="Redirects"
        aside={
          pagesBesides.length > 0 && (
            <Button
              tone="quiet"
              className="px-2 py-0.5 text-[13px]"
              disabled={asked.isAsking}
              onClick={() => void asked.ask(pagesBesides)}
            >
              {asked.isAsking ? 'Asking …' : 'Ask whether the pages are there'}
            </Button>
          )
        }
      >
        <p role="status" className="text-[13px] text-wrong">
          {asked.problem}
        </p>
        {error && !data && <LoadProblem error={error} again={() => void refetch()} />}
        {rows.length === 0 ? (
          <Nothing>No redirects: every search shows its results.</Nothing>
        ) : (
          <ShelfList label="Redirects" items={rows} keyOf={({ of, id }) => `${of} ${id}`} rowHeight={rowHeight}>
            {(row) => (
              <RedirectRow redirect={row} found={asked.found.get(row.link)}>
                <Switch
                  label={`${row.name} on`}
                  isOn={row.on}
                  change={(on) =>
                    void (row.of === 'plan'
                      ? edit({ part: 'plans', key: row.id, value: { ...setup.plans[row.id], on } })
                      : edit({ part: 'specialShelves', key: row.id, value: { ...setup.specialShelves[row.id], on } }))
                  }
                />
                <Link
                  className="text-[13px]"
                  to={row.of === 'plan' ? `/plans/${encodeURIComponent(row.id)}` : '/empty-shelf/special'}
                >
                  Open
                </Link>
              </RedirectRow>
            )}
          </ShelfList>
        )}
      </Section>
    </>
  );
}

/** A search and where it leads, as a plan for just that search. */
function NewRedirect() {
  const [search, setSearch] = useState('');
  const [link, setLink] = useState('');
  const isFine = search.trim() !== '' && link !== '';
  return (
    <form
      className="mb-4 flex flex-wrap items-center gap-2 text-[13.5px]"
      onSubmit={(event) => {
        event.preventDefault();
        if (!isFine) return;
        const { id, plan } = planFor({ query: search, collection: '' });
        void edit({ part: 'plans', key: id, value: { ...plan, redirect: link } });
        setSearch('');
        setLink('');
      }}
    >
      <input
        aria-label="A search to send elsewhere"
        placeholder="A search"
        className="w-[150px] rounded-md border bg-surface px-2 py-[3px] placeholder:text-soft hover:border-edge"
        maxLength={longest.search}
        value={search}
        onChange={({ target }) => setSearch(target.value)}
      />
      <span>leads to</span>
      <AddressField
        label="Page it leads to"
        placeholder="/articles/returns or https://…"
        className="min-w-[180px] flex-1"
        maxLength={longest.link}
        value={link}
        change={setLink}
      />
      <Button type="submit" disabled={!isFine}>
        Add
      </Button>
    </form>
  );
}
