import { type CatalogWriter, catalogWriter, type ExportFormat } from '../../core/catalog/writeCatalog.ts';
import type { CatalogView } from './currentCatalog.ts';

const recordsAPiece = 500;

/** The catalog as a view has it, edits included, as a file in pieces of some hundred records. */
export function* exportCatalog(view: CatalogView, format: ExportFormat, currency: string): Generator<string> {
  const { attributes, records } = view.snapshot;
  const writer: CatalogWriter = catalogWriter(
    format,
    attributes.map(({ key }) => key),
    currency,
  );
  yield writer.begin;
  for (let from = 0; from < records; from += recordsAPiece) {
    let piece = '';
    for (let at = from; at < Math.min(records, from + recordsAPiece); at++) piece += writer.record(view.record(at), at);
    yield piece;
  }
  yield writer.end;
}
