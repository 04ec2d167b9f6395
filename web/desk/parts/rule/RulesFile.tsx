import { partOfRules, type RulePart, rulesOf, writeRulesCsv } from '../../../../core/setup/rulesCsv.ts';
import { call } from '../../../client/call.ts';
import { useDeskState } from '../../state/deskState.ts';
import { edit } from '../../state/edits.ts';
import { FileExchange } from '../FileExchange.tsx';

const texts: Readonly<Record<RulePart, { readonly file: string; readonly title: string }>> = {
  plans: { file: 'shelf-plans', title: 'Shelf plans from a file' },
  houseRules: { file: 'house-rules', title: 'House rules from a file' },
  hiding: { file: 'hiding', title: 'Hidings from a file' },
  companions: { file: 'companions', title: 'Companions from a file' },
  redirects: { file: 'redirects', title: 'Redirects from a file' },
  suggestedSearches: { file: 'suggested-searches', title: 'Suggested searches from a file' },
};

/** Plans, house rules or hidings to a file and from one: CSV for spreadsheets, or JSON as a setup has them. */
export function RulesFile({ part }: { readonly part: RulePart }) {
  const { setup } = useDeskState();
  const { file, title } = texts[part];
  const { format, version } = setup;
  const rules = rulesOf(part, setup);
  const hasAny = Object.keys(rules).length > 0;
  return (
    <FileExchange
      title={title}
      exports={
        hasAny
          ? [
              { label: 'Export CSV', name: `${file}.csv`, text: () => writeRulesCsv(part, setup) },
              {
                label: 'Export JSON',
                name: `${file}.json`,
                text: () => `${JSON.stringify({ format, version, [partOfRules(part)]: rules }, null, 1)}\n`,
              },
            ]
          : []
      }
      accept=".csv,.json,text/csv,application/json"
      chooseLabel={`A CSV or JSON file: ${title.toLowerCase()}`}
      read={async (text) => {
        const { changes, ...others } = await call('readRules', { body: { part, text } });
        const added = changes.filter(({ isNew }) => isNew).length;
        return {
          ...others,
          added,
          changed: changes.length - added,
          told: changes.map(({ key, sentences }) => ({ key, text: sentences.join('; ') })),
          take: () => void edit(...changes.map(({ key, value }) => ({ part: partOfRules(part), key, value }))),
        };
      }}
    />
  );
}
