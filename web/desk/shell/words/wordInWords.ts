import type { ExplainedWord, WordNote } from '../../../../api/wordSchema.ts';
import { counted } from '../../../look/price.ts';

const ways: Readonly<Record<ExplainedWord['means'][number]['how'], string>> = {
  exact: 'as it is',
  form: 'another form',
  related: 'a related word',
  joined: 'as one word',
  split: 'as several words',
  synonym: 'means the same',
  compound: 'has it in it',
  prefix: 'begins so',
  oneEdit: 'one typo away',
  rivalEdit: 'one typo away',
  twoEdits: 'two typos away',
  value: 'a value',
};

/** What became of a word, in a sentence. */
export function wordInWords({ as, products, value }: Pick<ExplainedWord, 'as' | 'products' | 'value'>): string {
  switch (as) {
    case 'recognised':
      return value ? `Recognised as ${value.attribute}: ${value.value}.` : 'Recognised as a condition you have set.';
    case 'stopWord':
      return 'Passed over: it is a stop word.';
    case 'givenUp':
      return products > 0
        ? `Left out: no product has it together with the other words (${counted(products, 'product')} by itself).`
        : 'Left out: nothing in the catalog is like it.';
    case 'corrected':
      return 'Taken as misspelt.';
    case 'notRead':
      return 'Not looked for.';
    default:
      return products > 0
        ? `Looked for; ${counted(products, 'product has', 'products have')} it just so.`
        : 'Looked for.';
  }
}

/** The other words it was looked for as, or instead of it. */
export const meansInWords = ({ as, means }: Pick<ExplainedWord, 'as' | 'means'>): string | null =>
  means.length === 0
    ? null
    : `${as === 'corrected' ? 'Looked for instead' : 'Also'}: ${means.map(({ text, how }) => `${text} (${ways[how]})`).join(', ')}.`;

export interface NoteInWords {
  readonly text: string;
  /** Where it is set otherwise. */
  readonly mend: { readonly to: string; readonly label: string } | null;
}

const values = { to: '/vocabulary/values', label: 'Values recognised' };
const spelling = { to: '/vocabulary/spelling', label: 'Spelling' };

/** Why something was not done with a word, and where that is set. */
export function noteInWords(note: WordNote): NoteInWords {
  switch (note.code) {
    case 'valueNotRecognised':
      return {
        text: `“${note.value}” is a value of ${note.attribute}, but values of ${note.attribute} are not recognised in searches.`,
        mend: values,
      };
    case 'partOfValue':
      return {
        text: `It is only a part of values of ${note.attribute}, such as “${note.value}”; whole values are recognised.`,
        mend: { to: '/vocabulary', label: 'Say what it means' },
      };
    case 'bareNumber':
      return { text: `A number alone is no ${note.attribute}: “${note.attribute} …” before it would be.`, mend: null };
    case 'correctionsOff':
      return { text: 'Not corrected: spelling tolerance is off.', mend: spelling };
    case 'neverCorrected':
      return { text: 'Not corrected: it is in the list of words that never are.', mend: spelling };
    case 'numberLike':
      return { text: 'Not corrected: words with digits never are.', mend: null };
    case 'wordOfLanguage':
      return {
        text: 'Not corrected: it is a word of the language, so it may be meant as it is typed.',
        mend: { to: '/vocabulary', label: 'Say what it means' },
      };
    case 'nothingNear':
      return { text: 'Not corrected: no word of the catalog is near enough.', mend: null };
    case 'tooShort':
      return { text: `Not corrected: only words from ${note.from} letters are.`, mend: spelling };
    case 'notRead':
      return {
        text: `It stands only in ${note.attributes.join(', ')}, which the search does not read.`,
        mend: { to: '/attributes', label: 'Attributes' },
      };
    case 'onlyHidden':
      return { text: `Everything that says it is hidden: ${counted(note.products, 'product')}.`, mend: null };
  }
}
