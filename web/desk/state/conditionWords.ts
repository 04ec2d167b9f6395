import type { Condition } from '../../../core/setup/terms/condition.ts';
import { conditionInWords } from '../../../core/setup/terms/conditionInWords.ts';
import { useAttributeLabels } from './attributes.ts';
import { useCollectionNames } from './collections.ts';

/** Says conditions in words, with attributes and collections under the names they have here. */
export function useConditionWords(): (condition: Condition) => string {
  const labelOf = useAttributeLabels();
  const titleOf = useCollectionNames();
  return (condition) => conditionInWords(condition, labelOf, titleOf);
}
