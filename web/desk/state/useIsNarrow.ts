import { useMedia } from '../../look/useMedia.ts';

const sideBySide = matchMedia('(min-width: 940px)');

/** Whether there is no room for the screens, the editor and the shop window side by side. */
export const useIsNarrow = (): boolean => !useMedia(sideBySide);
