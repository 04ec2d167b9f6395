import { toast } from 'sonner';
import type { Mapping } from '../../../../core/catalog/mappingSchema.ts';
import { Button } from '../../parts/Button.tsx';
import { ChooseFile } from '../../parts/ChooseFile.tsx';
import { withSaved } from './withSaved.ts';

/** Uses a mapping saved as JSON; what it says is checked when the file is read. */
export function SavedMapping({ proposed, use }: { readonly proposed: Mapping; use(mapping: Mapping): void }) {
  const read = async (file: File): Promise<void> => {
    const found = withSaved(proposed, await file.text());
    if (!found) {
      toast.error('This is no saved mapping', { description: 'It is the JSON file that “Save as JSON” makes.' });
      return;
    }
    use(found.mapping);
    toast(`${found.used} of ${proposed.columns.length} columns are read as saved`);
  };
  return (
    <ChooseFile label="Saved mapping" accept=".json,application/json" take={(file) => void read(file)}>
      {(choose) => (
        <Button tone="quiet" onClick={choose}>
          Use a saved mapping
        </Button>
      )}
    </ChooseFile>
  );
}
