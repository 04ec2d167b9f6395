import type { PageFound } from '../../api/pageFound.ts';
import { ruleEndpoints } from '../../api/ruleEndpoints.ts';
import { pageAddress } from '../../core/rules/redirects.ts';
import { checkEdit } from '../../core/setup/entries.ts';
import { entriesIn } from '../../core/setup/readSetup.ts';
import { rulesChanges } from '../../core/setup/rulesChanges.ts';
import { partOfRules, type ReadRule, type RulePart, readRuleRow, redirectAsPlan } from '../../core/setup/rulesCsv.ts';
import { Refused } from '../refused.ts';
import { rowsOfCsv } from './rowsOfCsv.ts';
import type { Services } from './services.ts';
import type { Serve } from './serving.ts';

const mostRows = 10_000;
const refusedListed = 50;

/** The entries of a part in a text: a setup's JSON, whole or with some parts only, or CSV. */
async function readRows(part: RulePart, text: string): Promise<{ line: number; read: ReadRule }[]> {
  if (!text.trimStart().startsWith('{'))
    return (await rowsOfCsv(text, 'text', mostRows)).map((row) => ({
      line: row.line,
      read: 'reason' in row ? { refusal: row.reason } : readRuleRow(part, row.cells),
    }));
  const refuse = (message: string): Refused => new Refused(400, { code: 'not-a-setup', message, field: 'text' });
  let document: unknown;
  try {
    document = JSON.parse(text);
  } catch {
    throw refuse('The file is neither CSV nor JSON that can be read.');
  }
  const entries = entriesIn(document).filter((entry) => entry.part === partOfRules(part) && entry.key !== '');
  if (entries.length === 0) throw refuse('The file has nothing of this kind in it.');
  return entries.map(({ key, value }) => ({
    line: 0,
    read: { key, value: value as Readonly<Record<string, unknown>> },
  }));
}

/** What house rules and hidings are about, and what they do. */
export function serveRules(serve: Serve, { searcher, askPage }: Pick<Services, 'searcher' | 'askPage'>): void {
  serve.desk(ruleEndpoints.conditionMet, ({ ref }, _, { condition }) => searcher.conditionMet(ref, condition));
  serve.desk(ruleEndpoints.pullFor, ({ ref }, _, { pulled, ...aim }) => searcher.pullFor(ref, pulled, aim));
  serve.desk(ruleEndpoints.ruleUse, async ({ ref }) => {
    const { searches, plans, rules } = await searcher.ruleUse(ref);
    return {
      searches,
      plans: plans.map((plan) => ({ ...plan, against: [...plan.against] })),
      rules: [...rules],
    };
  });
  serve.desk(ruleEndpoints.redirects, async ({ ref }) => ({
    redirects: (await searcher.redirects(ref)).map((each) => ({ ...each, searches: [...each.searches] })),
  }));
  serve.desk(ruleEndpoints.askPages, async ({ setups }, _, { links }) => {
    const { plans, specialShelves, storefront } = setups.draft();
    // Nothing is asked but what the draft itself names.
    const named = new Set([
      ...Object.values(plans).map(({ redirect }) => redirect),
      ...Object.values(specialShelves).map(({ link }) => link),
    ]);
    const found = async (link: string): Promise<PageFound> => {
      if (!named.has(link)) return { is: 'not-named' };
      const address = pageAddress(link, storefront.shop.address);
      return address === null ? { is: 'no-address' } : askPage(address);
    };
    return { pages: await Promise.all(links.map(async (link) => ({ link, found: await found(link) }))) };
  });
  serve.desk(ruleEndpoints.readRules, async ({ setups, names }, _, { part, text }) => {
    const rows = await readRows(part, text);
    const { plans } = setups.draft();
    const { changes, unchanged, refused } = rulesChanges(
      setups.draft(),
      partOfRules(part),
      part === 'redirects' ? rows.map(({ line, read }) => ({ line, read: redirectAsPlan(plans, read) })) : rows,
      names(setups.draft()),
    );
    return {
      changes: changes.map(({ edit: { key, value }, isNew, sentences }) => ({
        ...{ key, value, isNew, sentences: [...sentences] },
      })),
      unchanged,
      refused: refused.slice(0, refusedListed),
      refusedInAll: refused.length,
    };
  });
  serve.desk(ruleEndpoints.amounts, ({ ref }, _, { attribute, products }) =>
    searcher.amounts(ref, attribute, products),
  );
  serve.desk(ruleEndpoints.ruleFigures, ({ ref }) => searcher.ruleFigures(ref));
  serve.desk(ruleEndpoints.ruleEffect, ({ ref }, _, { part, key, value }) => {
    const checked = checkEdit({ part, key, value });
    if ('refusal' in checked)
      throw new Refused(400, { code: 'invalid-entry', message: checked.refusal.message, field: checked.refusal.field });
    return searcher.ruleEffect(ref, checked.edit);
  });
}
