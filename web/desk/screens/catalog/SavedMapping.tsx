import { useRef } from 'react';
import { toast } from 'sonner';
import type { Mapping } from '../../../../core/catalog/mappingSchema.ts';
import { Button } from '../../parts/Button.tsx';
import { withSaved } from './withSaved.ts';

/** Uses a mapping saved as JSON; what it says is checked when the file is read. */
export function SavedMapping({ proposed, use }: { readonly proposed: Mapping; use(mapping: Mapping): void }) {
  const chooser = useRef<HTMLInputElement>(null);
  const read = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    const found = withSaved(proposed, await file.text());
    if (!found) {
      toast.error('This is no saved mapping', { description: 'It is the JSON file that “Save as JSON” makes.' });
      return;
    }
    use(found.mapping);
    toast(`${found.used} of ${proposed.columns.length} columns are read as saved`);
  };
  return (
    <>
      <input
        ref={chooser}
        type="file"
        accept=".json,application/json"
        aria-label="Saved mapping"
        className="sr-only"
        tabIndex={-1}
        onChange={(event) => {
          void read(event.target.files?.[0]);
          event.target.value = '';
        }}
      />
      <Button tone="quiet" onClick={() => chooser.current?.click()}>
        Use a saved mapping
      </Button>
    </>
  );
}
