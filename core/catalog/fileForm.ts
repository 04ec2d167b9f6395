export const fileFormats = ['csv', 'json', 'jsonl'] as const;
export type FileFormat = (typeof fileFormats)[number];

/** Encodings a file may have, by names that the platform's decoder knows. */
export const encodings = [
  'utf-8',
  'utf-16le',
  'utf-16be',
  'windows-1252',
  'iso-8859-2',
  'iso-8859-15',
  'windows-1250',
  'windows-1251',
  'macintosh',
  'shift_jis',
  'gb18030',
  'big5',
  'euc-kr',
] as const;
export type Encoding = (typeof encodings)[number];

/** How a file is written; guessed from its beginning and open to correction. */
export interface FileForm {
  readonly format: FileFormat;
  readonly encoding: Encoding;
  /** For CSV: what stands between cells, around texts, and before a quote inside one. */
  readonly delimiter: string;
  readonly quote: string;
  readonly escape: string;
  /** For JSON: the key of the list inside an outer object, or empty where the list is all there is. */
  readonly list: string;
  /** For JSON: whether the file is one object rather than a list. */
  readonly isObject: boolean;
}
