/** Answers by their question: the ones asked for last are kept, at most so many. */
export interface KeptAnswers<Answer> {
  /** The answer kept for a question, or the one that is made now. */
  get(question: string, make: () => Answer): Answer;
}

export function keepAnswers<Answer>(most: number): KeptAnswers<Answer> {
  const kept = new Map<string, Answer>();
  return {
    get(question, make) {
      const known = kept.get(question);
      const answer = known ?? make();
      // The one asked for last stands last.
      kept.delete(question);
      kept.set(question, answer);
      if (kept.size > most) kept.delete(kept.keys().next().value!);
      return answer;
    },
  };
}
