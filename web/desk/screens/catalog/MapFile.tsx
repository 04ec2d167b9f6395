import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { toast } from 'sonner';
import type { Examined } from '../../../../api/catalogEndpoints.ts';
import { checkMapping } from '../../../../core/catalog/mapping.ts';
import { type Mapping, mostColumns } from '../../../../core/catalog/mappingSchema.ts';
import { call } from '../../../client/call.ts';
import { counted } from '../../../look/price.ts';
import { Button } from '../../parts/Button.tsx';
import { Choice } from '../../parts/Controls.tsx';
import { Loading, LoadProblem, Section } from '../../parts/Screen.tsx';
import { forgetJob, takeJob, useCatalog } from '../../state/catalog.ts';
import { ColumnRows } from './ColumnRows.tsx';
import { JoiningChoice } from './JoiningChoice.tsx';
import { LanguageChoice } from './LanguageChoice.tsx';
import { RowIdentity } from './RowIdentity.tsx';
import { SavedMapping } from './SavedMapping.tsx';
import { TitleQuestion } from './TitleQuestion.tsx';

const encodings = [
  ['utf-8', 'UTF-8'],
  ['windows-1252', 'Western (Windows-1252)'],
  ['iso-8859-15', 'Western (ISO 8859-15)'],
  ['windows-1250', 'Central European (Windows-1250)'],
  ['windows-1251', 'Cyrillic (Windows-1251)'],
  ['macintosh', 'Western (Macintosh)'],
  ['utf-16le', 'UTF-16'],
  ['utf-16be', 'UTF-16, high byte first'],
  ['shift_jis', 'Japanese (Shift JIS)'],
] as const;
const delimiters = [
  [',', 'comma'],
  [';', 'semicolon'],
  ['\t', 'tab'],
  ['|', 'bar |'],
  ['^', 'caret ^'],
  ['~', 'tilde ~'],
] as const;

/** Second step of bringing a file in: what its columns are. Everything is proposed; what is wrong is put right here. */
export function MapFile() {
  const { data, error, refetch } = useQuery({
    queryKey: ['desk', 'catalog', 'examined'],
    queryFn: ({ signal }) => call('examined', { signal }),
    staleTime: Number.POSITIVE_INFINITY,
  });
  if (error && !data) return <LoadProblem error={error} again={refetch} />;
  if (!data) return <Loading what="Looking at the file" />;
  return <Form key={`${data.file}/${JSON.stringify(data.form)}`} examined={data} />;
}

function Form({ examined }: { readonly examined: Examined }) {
  const { data: catalog } = useCatalog();
  const [mapping, setMapping] = useState<Mapping>(examined.known ?? examined.mapping);
  const [mode, setMode] = useState<'replace' | 'update'>('replace');
  const problems = checkMapping(mapping);
  const hasCatalog = (catalog?.records ?? 0) > 0;
  const read = async (): Promise<void> => {
    try {
      takeJob(await call('readImport', { body: { mapping, mode } }));
    } catch (error) {
      toast.error('The file was not read', { description: (error as Error).message });
    }
  };
  return (
    <div className="max-w-[980px]">
      <Section
        title={`What the columns of ${examined.file} are`}
        note={
          examined.known
            ? 'You imported a file with these columns before. It will be read as you decided then.'
            : `Guessed from the names and from the first ${counted(examined.rows, 'row')}. Put right what is wrong.`
        }
        aside={
          <span className="flex shrink-0 items-center">
            {examined.known && (
              <Button tone="quiet" onClick={() => setMapping(examined.mapping)}>
                Guess anew
              </Button>
            )}
            <SavedMapping proposed={mapping} use={setMapping} />
          </span>
        }
      >
        <FormOfFile examined={examined} />
        {examined.leftOut.count > 0 && (
          <p className="mb-2 text-[13px] text-wrong">
            {counted(examined.leftOut.count, 'more column')} cannot be imported, since a catalog has at most{' '}
            {mostColumns}: {examined.leftOut.names.join(', ')}
            {examined.leftOut.count > examined.leftOut.names.length && ' and others'}.
          </p>
        )}
        <TitleQuestion examined={examined} mapping={mapping} change={setMapping} />
        <ColumnRows columns={examined.columns} mapping={mapping} problems={problems} change={setMapping} />
        <RowIdentity mapping={mapping} change={setMapping} />
      </Section>
      <Section
        title="Variants of one product"
        note="Rows that are the same product in another colour or size stand together in results."
      >
        <JoiningChoice joinings={examined.joinings} mapping={mapping} change={setMapping} />
        <h3 className="mt-4 mb-1.5 font-display font-semibold text-[14.5px]">Language</h3>
        <LanguageChoice mapping={mapping} change={setMapping} />
      </Section>
      {hasCatalog && (
        <Section title="What is in the shop now">
          <fieldset className="space-y-1.5">
            <legend className="sr-only">What happens to records that the file does not have</legend>
            {(
              [
                ['replace', 'Replace it: what the file does not have is gone'],
                ['update', 'Update it: what the file does not have stays as it is'],
              ] as const
            ).map(([value, label]) => (
              <label key={value} className="flex items-center gap-2">
                <input type="radio" name="mode" checked={mode === value} onChange={() => setMode(value)} /> {label}
              </label>
            ))}
          </fieldset>
        </Section>
      )}
      <div className="sticky -bottom-10 z-10 mt-6 flex items-center gap-3 border-t bg-paper py-3">
        <Button tone="strong" disabled={problems.length > 0} onClick={() => void read()}>
          Read the file
        </Button>
        <Button tone="quiet" onClick={() => void call('cancelImport').then(forgetJob)}>
          {'Cancel import'}
        </Button>
        <p role="status" className="text-[13px] text-soft">
          {problems[0]
            ? `${problems[0].column ? `“${problems[0].column}”: ` : ''}${problems[0].message}`
            : 'Shoppers see nothing of it until you have seen what changes and replaced the live catalog.'}
        </p>
      </div>
    </div>
  );
}

/** How the file is written, as guessed, with ways to put it right. */
function FormOfFile({ examined: { form } }: { readonly examined: Examined }) {
  const change = async (difference: Partial<Examined['form']>): Promise<void> => {
    try {
      takeJob(await call('lookAgain', { body: { ...form, ...difference } }));
    } catch (error) {
      toast.error('The file cannot be read like that', { description: (error as Error).message });
    }
  };
  return (
    <p className="mb-2.5 flex flex-wrap items-center gap-2 text-[13px] text-soft">
      {form.format === 'csv' ? (
        <>
          Cells stand apart by
          <Choice
            label="Separator of cells"
            value={form.delimiter}
            options={
              delimiters.some(([each]) => each === form.delimiter)
                ? delimiters
                : [...delimiters, [form.delimiter, form.delimiter]]
            }
            change={(delimiter) => void change({ delimiter })}
          />
        </>
      ) : (
        <span>{form.format === 'jsonl' ? 'One JSON object a line.' : 'JSON.'}</span>
      )}
      Letters are
      <Choice
        label="Encoding of letters"
        value={form.encoding}
        options={encodings as readonly (readonly [Examined['form']['encoding'], string])[]}
        change={(encoding) => void change({ encoding })}
      />
    </p>
  );
}
