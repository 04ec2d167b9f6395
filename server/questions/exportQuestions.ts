import { closeSync, openSync, rmSync, writeSync } from 'node:fs';
import { join } from 'node:path';
import type { ExportFormat } from '../../core/catalog/writeCatalog.ts';
import type { SetupRef } from '../../core/setup/setupRef.ts';
import { exportCatalog } from '../catalog/exportCatalog.ts';
import type { Workbench } from '../searching/workbench.ts';

let exported = 0;

/** Files made of the catalog. */
export function exportQuestions({ ready, folder }: Workbench) {
  return {
    /** Writes the catalog as it stands under a setup to a new file, which the caller removes; answers its path. */
    exportCatalog(ref: SetupRef, format: ExportFormat): string {
      const { view, setup } = ready(ref);
      const path = join(folder.incoming, `${process.pid}-export-${Date.now()}-${++exported}`);
      const file = openSync(path, 'wx');
      try {
        for (const piece of exportCatalog(view, format, setup.setup.storefront.shop.currency)) writeSync(file, piece);
      } catch (error) {
        rmSync(path, { force: true });
        throw error;
      } finally {
        closeSync(file);
      }
      return path;
    },
  };
}
