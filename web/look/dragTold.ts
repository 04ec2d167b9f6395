import type { Announcements } from '@dnd-kit/core';

/** Something that can be drawn to another place, and where it stands, counted from 1. */
interface Standing {
  readonly name: string;
  readonly place: number;
}

/** What is said, to those who do not see it, of something drawn from place to place; `find` is given what was drawn. */
export function dragTold(find: (id: unknown) => Standing | undefined): Announcements {
  const nameOf = (id: unknown): string => find(id)?.name ?? '';
  return {
    onDragStart: ({ active }) => `${nameOf(active.id)} is taken up.`,
    onDragOver: ({ active, over }) =>
      over ? `${nameOf(active.id)} is over place ${find(over.id)?.place}.` : undefined,
    onDragEnd: ({ active, over }) =>
      over ? `${nameOf(active.id)} is put down at place ${find(over.id)?.place}.` : undefined,
    onDragCancel: ({ active }) => `${nameOf(active.id)} is where it was.`,
  };
}
