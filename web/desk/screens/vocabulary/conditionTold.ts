import type { Condition } from '../../../../core/setup/schema.ts';

/** A condition as a merchandiser reads it. */
export function conditionTold(condition: Condition, labelOf: (key: string) => string): string {
  switch (condition.what) {
    case 'value':
      return `${labelOf(condition.attribute)} is ${condition.value}`;
    case 'newer':
      return `${labelOf(condition.attribute)} is not older than ${condition.days} days`;
    case 'reduced':
      return 'it costs less than it did';
    case 'number':
      return `${labelOf(condition.attribute)} is ${condition.from === null ? `at most ${condition.to}` : `at least ${condition.from}`}`;
  }
}
