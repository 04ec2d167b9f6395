import { useQuery } from '@tanstack/react-query';
import { Download } from 'lucide-react';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { checkMapping } from '../../../../core/catalog/mapping.ts';
import type { Mapping } from '../../../../core/catalog/mappingSchema.ts';
import { call } from '../../../client/call.ts';
import { counted } from '../../../look/price.ts';
import { Button } from '../../parts/Button.tsx';
import { RowList } from '../../parts/RowList.tsx';
import { Loading, LoadProblem, Nothing, Section } from '../../parts/Screen.tsx';
import { useAttributes } from '../../state/attributes.ts';
import { takeJob } from '../../state/catalog.ts';
import { useRoom } from '../../state/room.ts';
import { ColumnRows } from './ColumnRows.tsx';
import { JoiningChoice, untried } from './JoiningChoice.tsx';
import { LanguageChoice } from './LanguageChoice.tsx';
import { RowIdentity } from './RowIdentity.tsx';
import { useCorrectFamilies } from './Variants.tsx';

interface Source {
  readonly number: number;
  readonly file: string;
  readonly records: number;
  readonly mapping: Mapping;
}

/** How the rows in the shop were read, open to change: units, names, lists, variants. No file is needed for it. */
export function Reading() {
  useRoom();
  const { data, error, refetch } = useQuery({
    queryKey: ['desk', 'catalog', 'sources'],
    queryFn: ({ signal }) => call('sources', { signal }),
  });
  if (error && !data) return <LoadProblem error={error} again={refetch} />;
  if (!data) return <Loading what="Reading how the catalog is read" />;
  const used = data.sources.filter(({ records }) => records > 0);
  if (used.length === 0) return <Nothing>No rows are kept to be read again. Bring a file in first.</Nothing>;
  return (
    <div className="max-w-[980px]">
      {used.map((source) => (
        <SourceForm key={`${source.number}/${JSON.stringify(source.mapping)}`} source={source} />
      ))}
      <Corrections />
    </div>
  );
}

/** Variants that were put into another product by hand; each can be given back to what the file says. */
function Corrections() {
  const correct = useCorrectFamilies();
  const { data } = useQuery({
    queryKey: ['desk', 'catalog', 'corrections'],
    queryFn: ({ signal }) => call('corrections', { signal }),
  });
  if (!data || data.corrections.length === 0) return null;
  return (
    <Section title="Put right by hand" note="These hold whatever a file says. Giving one up reads the rows again.">
      <RowList label="Variants put right by hand" items={data.corrections} rowHeight={40} mostHeight={300}>
        {({ record, title, family }) => (
          <>
            <span className="min-w-0 flex-1 truncate">
              <b className="font-semibold">{title || record}</b> <span className="text-soft">{record}</span>
            </span>
            <span className="text-[13px] text-soft">belongs to {family}</span>
            <Button tone="quiet" onClick={() => void correct([record], null)}>
              Discard<span className="sr-only">: {record}</span>
            </Button>
          </>
        )}
      </RowList>
    </Section>
  );
}

function SourceForm({ source }: { readonly source: Source }) {
  const [mapping, setMapping] = useState(source.mapping);
  const { attributes } = useAttributes();
  const go = useNavigate();
  const problems = checkMapping(mapping);
  const isChanged = JSON.stringify(mapping) !== JSON.stringify(source.mapping);
  const samplesOf = (key: string): readonly string[] => attributes?.find((row) => row.key === key)?.samples ?? [];
  const again = async (): Promise<void> => {
    try {
      takeJob(await call('readAgain', { body: { mappings: [{ number: source.number, mapping }] } }));
      void go('/catalog/bring-in');
    } catch (error) {
      toast.error('It was not read again', { description: (error as Error).message });
    }
  };
  return (
    <Section
      title={source.file}
      note={`${counted(source.records, 'record')} were read so. Change it, and they are read again in the background; you see what changes before shoppers do.`}
      aside={
        <a
          className="inline-flex items-center gap-1.5 font-semibold text-[13px] text-press hover:underline"
          href={`data:application/json,${encodeURIComponent(JSON.stringify(mapping, null, 2))}`}
          download="mapping.json"
        >
          <Download size={14} aria-hidden /> Save as JSON
        </a>
      }
    >
      <ColumnRows
        columns={mapping.columns.map(({ column, key }) => ({ column, samples: samplesOf(key) }))}
        mapping={mapping}
        problems={problems}
        change={setMapping}
      />
      <RowIdentity mapping={mapping} change={setMapping} />
      <h3 className="mt-4 mb-1.5 font-display font-semibold text-[14.5px]">Variants of one product</h3>
      <JoiningChoice
        joinings={(
          [
            { by: 'column' },
            { by: 'sku', cut: 'letters' },
            { by: 'sku', cut: 'group' },
            { by: 'title' },
            { by: 'none' },
          ] as const
        ).map((joining) => ({ ...untried, joining }))}
        mapping={mapping}
        change={setMapping}
      />
      <h3 className="mt-4 mb-1.5 font-display font-semibold text-[14.5px]">Language</h3>
      <LanguageChoice mapping={mapping} change={setMapping} />
      <div className="sticky -bottom-10 z-10 mt-4 flex items-center gap-3 border-t bg-paper py-3">
        <Button tone="strong" disabled={!isChanged || problems.length > 0} onClick={() => void again()}>
          Read again
        </Button>
        {isChanged && (
          <Button tone="quiet" onClick={() => setMapping(source.mapping)}>
            As it was
          </Button>
        )}
        {problems[0] && <p className="text-[13px] text-soft">{problems[0].message}</p>}
      </div>
    </Section>
  );
}
