import { type SynonymEntry, writeVocabularyCsv } from '../../../../core/setup/vocabularyCsv.ts';
import { call } from '../../../client/call.ts';
import { FileExchange } from '../../parts/FileExchange.tsx';
import { useDeskState } from '../../state/deskState.ts';
import { edit } from '../../state/edits.ts';
import { synonymText } from './listSynonyms.ts';

/** Synonyms to a file and from one. */
export function SynonymFile({ hasAny }: { readonly hasAny: boolean }) {
  const { setup } = useDeskState();
  return (
    <FileExchange
      title="Synonyms from a file"
      exports={
        hasAny ? [{ label: 'Export', name: 'synonyms.csv', text: () => writeVocabularyCsv(setup.vocabulary) }] : []
      }
      accept=".csv,text/csv"
      chooseLabel="A CSV file of synonyms"
      read={async (csv) => {
        const { added, changed, ...others } = await call('readVocabulary', { body: { csv } });
        const all = [...added, ...changed];
        return {
          ...others,
          added: added.length,
          changed: changed.length,
          told: all.map(({ key, entry }) => ({ key, text: synonymText(entry as SynonymEntry) })),
          take: () => void edit(...all.map(({ key, entry }) => ({ part: 'vocabulary' as const, key, value: entry }))),
        };
      }}
    />
  );
}
