import type { ChangeEvent, FocusEvent, KeyboardEvent, MouseEvent } from 'react';

/** What the lines under a box do with its input, once their code is there. */
export interface LinesWork {
  onChange?: ((event: ChangeEvent<HTMLInputElement>) => void) | undefined;
  onKeyDown?: ((event: KeyboardEvent<HTMLInputElement>) => void) | undefined;
  onBlur?: ((event: FocusEvent<HTMLInputElement>) => void) | undefined;
  onClick?: ((event: MouseEvent<HTMLInputElement>) => void) | undefined;
  open(): void;
  close(): void;
}

/** What the input says of the lines. */
export interface LinesTold {
  /** The id of the line that is marked. */
  readonly active: string | undefined;
  readonly isExpanded: boolean;
}
export const noLines: LinesTold = { active: undefined, isExpanded: false };

export interface BoxIds {
  readonly input: string;
  readonly label: string;
  readonly menu: string;
}

let boxes = 0;
/** Ids of a box's own: several may stand in one document, each drawn by itself. */
export function newBoxIds(): BoxIds {
  const box = `shelf-box-${++boxes}`;
  return { input: `${box}-input`, label: `${box}-label`, menu: `${box}-menu` };
}
