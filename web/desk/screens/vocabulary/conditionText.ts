import type { Condition } from '../../../../core/setup/parts/vocabulary.ts';

/** A condition as a merchandiser reads it. */
export function conditionText(condition: Condition, labelOf: (key: string) => string): string {
  switch (condition.what) {
    case 'value':
      return `${labelOf(condition.attribute)} is ${condition.value}`;
    case 'newer':
      return `${labelOf(condition.attribute)} is not older than ${condition.days} days`;
    case 'reduced':
      return 'it costs less than it did';
    case 'number': {
      const { attribute, from, to } = condition;
      const label = labelOf(attribute);
      if (from !== null && to !== null) return `${label} is from ${from} to ${to}`;
      if (from === null && to === null) return `${label} is known`;
      return `${label} is ${from === null ? `at most ${to}` : `at least ${from}`}`;
    }
  }
}
