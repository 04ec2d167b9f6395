import { en } from '../../core/messages/en.ts';

/** What is said in English besides what the box says; as this is built, those are left out here. */
export const restOfEnglish = en;
