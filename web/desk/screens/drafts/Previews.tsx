import { useQuery } from '@tanstack/react-query';
import { Copy } from 'lucide-react';
import { useState } from 'react';
import { toast } from 'sonner';
import { previewDays } from '../../../../api/limits.ts';
import type { PreviewRow } from '../../../../api/previewEndpoints.ts';
import { call } from '../../../client/call.ts';
import { day } from '../../../look/dates.ts';
import { counted } from '../../../look/price.ts';
import { Button } from '../../parts/Button.tsx';
import { Choice } from '../../parts/Controls.tsx';
import { copyText } from '../../parts/copyText.ts';
import { Loading, LoadProblem, Section } from '../../parts/Screen.tsx';
import { useDeskState } from '../../state/deskState.ts';
import { clientHere } from '../../state/queryClient.ts';

const previewsKey = ['desk', 'previews'] as const;
const linkOf = ({ token }: PreviewRow): string => `${location.origin}/preview/${token}`;

async function arrange(doing: () => Promise<unknown>, refused: string): Promise<void> {
  try {
    await doing();
  } catch (error) {
    toast.error(refused, { description: (error as Error).message });
  }
  await clientHere().invalidateQueries({ queryKey: previewsKey });
}

/** Links that show the shop under the draft one works in to somebody without the desk. */
export function Previews() {
  const { draft } = useDeskState();
  const [days, setDays] = useState<string>('7');
  const { data, error, refetch } = useQuery({
    queryKey: previewsKey,
    queryFn: ({ signal }) => call('previews', { signal }),
  });
  const make = (): Promise<void> =>
    arrange(
      () => call('makePreview', { body: { days: Number(days) as (typeof previewDays)[number] } }),
      'No link was made',
    );
  return (
    <Section
      title="Preview links"
      note={`Whoever has such a link sees the shop under ${draft.name}, as it is when they look, and nothing else of the desk.`}
    >
      {error && !data ? (
        <LoadProblem error={error} again={() => void refetch()} />
      ) : !data ? (
        <Loading what="Reading the links" />
      ) : (
        <ul className="space-y-1">
          {data.previews.map((preview) => (
            <li key={preview.token} className="flex flex-wrap items-center gap-x-2 rounded-md bg-surface px-3 py-1.5">
              <a
                href={linkOf(preview)}
                target="_blank"
                rel="noreferrer"
                className="min-w-0 flex-1 truncate text-press underline"
              >
                {linkOf(preview)}
              </a>
              <span className="text-[12.5px] text-soft">
                by {preview.who}, until {day(preview.endsAt)}
              </span>
              <Button tone="quiet" className="px-2 py-0.5" onClick={() => void copyText(linkOf(preview), 'The link')}>
                <Copy size={14} aria-hidden />
                Copy
              </Button>
              <Button
                tone="quiet"
                className="px-2 py-0.5"
                onClick={() =>
                  void arrange(
                    () => call('withdrawPreview', { body: { token: preview.token } }),
                    'The link was not withdrawn',
                  )
                }
              >
                Withdraw
              </Button>
            </li>
          ))}
        </ul>
      )}
      <div className="mt-2 flex items-center gap-2">
        <Button onClick={() => void make()}>Make a link</Button>
        <span className="text-[13px] text-soft">that ends after</span>
        <Choice
          label="When the link ends"
          value={days}
          options={previewDays.map((each) => [String(each), counted(each, 'day')] as const)}
          change={setDays}
        />
      </div>
    </Section>
  );
}
