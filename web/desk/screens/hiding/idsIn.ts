/** Ids in a pasted list: one a line, or with commas, semicolons or tabs between them; quotes around one are not its own. Each once. */
export const idsIn = (text: string): string[] => [
  ...new Set(
    text
      .split(/[\n\r,;\t]+/)
      .map((id) => id.trim().replace(/^(["'])(.*)\1$/, '$2'))
      .filter((id) => id !== ''),
  ),
];
