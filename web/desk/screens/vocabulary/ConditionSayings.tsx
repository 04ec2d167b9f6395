import { ArrowRight, X } from 'lucide-react';
import { useState } from 'react';
import type { Condition } from '../../../../core/setup/terms/condition.ts';
import { longest, most } from '../../../../core/setup/terms/limits.ts';
import { Button, IconButton } from '../../parts/Button.tsx';
import { ConditionEditor } from '../../parts/condition/ConditionEditor.tsx';
import { ConditionMet } from '../../parts/condition/ConditionMet.tsx';
import { shelfRow } from '../../parts/Screen.tsx';
import { useConditionWords } from '../../state/conditionWords.ts';

interface Saying {
  readonly words: string;
  readonly condition: Condition;
}

/** Words such as "new" or "sale", and what a product must be for them. */
export function ConditionSayings({
  sayings,
  change,
}: {
  readonly sayings: readonly Saying[];
  change(sayings: readonly Saying[]): void;
}) {
  const [open, setOpen] = useState<string | null>(null);
  const inWords = useConditionWords();
  return (
    <>
      <h3 className="mt-3 font-semibold">Words that stand for a condition</h3>
      <ul className="mt-1 space-y-[5px]" aria-label="Words that stand for a condition">
        {sayings.map((saying) => (
          <li key={saying.words} className={`${shelfRow(false)} py-1 pr-2 pl-3`}>
            <div className="flex items-center gap-2">
              <b className="font-semibold">{saying.words}</b>
              <ArrowRight size={14} aria-label="means" className="shrink-0 text-soft" />
              <span className="flex-1">{inWords(saying.condition)}</span>
              <Button
                tone="quiet"
                className="px-2 py-1 text-[13px]"
                aria-expanded={open === saying.words}
                aria-label={`Change the condition of ${saying.words}`}
                onClick={() => setOpen(open === saying.words ? null : saying.words)}
              >
                {open === saying.words ? 'Done' : 'Change'}
              </Button>
              <IconButton
                label={`Remove the condition of ${saying.words}`}
                onClick={() => change(sayings.filter((each) => each !== saying))}
              >
                <X size={15} aria-hidden />
              </IconButton>
            </div>
            {open === saying.words && (
              <div className="mt-1 mb-2">
                <ConditionEditor
                  value={saying.condition}
                  change={(condition) =>
                    change(sayings.map((each) => (each === saying ? { ...saying, condition } : each)))
                  }
                />
                <ConditionMet condition={saying.condition} />
              </div>
            )}
          </li>
        ))}
      </ul>
      {sayings.length < most.conditions && (
        <NewSaying add={(saying) => change([...sayings.filter((each) => each.words !== saying.words), saying])} />
      )}
    </>
  );
}

function NewSaying({ add }: { add(saying: Saying): void }) {
  const [words, setWords] = useState('');
  const [condition, setCondition] = useState<Condition | null>(null);
  /** Another editor for the next one. */
  const [turn, setTurn] = useState(0);
  const said = words.trim();
  const isFine = condition !== null && said !== '' && said.split(/\s+/).length <= most.sayingWords;
  return (
    <form
      className="mt-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (!isFine) return;
        add({ words: said, condition });
        setWords('');
        setCondition(null);
        setTurn(turn + 1);
      }}
    >
      <div className="mb-1.5 flex flex-wrap items-center gap-2">
        <input
          aria-label="Words that have a condition"
          placeholder="new"
          className="w-[130px] rounded-md border bg-surface px-2 py-[5px] placeholder:text-soft"
          maxLength={longest.saying}
          value={words}
          onChange={(event) => setWords(event.target.value)}
        />
        <ArrowRight size={14} aria-hidden className="shrink-0 text-soft" />
        <span className="flex-1 text-[13px] text-soft">stands for what meets this:</span>
        <Button type="submit" disabled={!isFine}>
          Add
        </Button>
      </div>
      <ConditionEditor key={turn} value={null} change={setCondition} />
      {condition && <ConditionMet condition={condition} />}
    </form>
  );
}
