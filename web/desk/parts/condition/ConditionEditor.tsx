import { Plus } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import type { Condition } from '../../../../core/setup/terms/condition.ts';
import type { Match } from '../../../../core/setup/terms/conditionTerms.ts';
import { most } from '../../../../core/setup/terms/limits.ts';
import { Button } from '../Button.tsx';
import { Choice } from '../Controls.tsx';
import {
  type ConditionRows,
  conditionOf,
  emptyGroup,
  emptyRow,
  isGroup,
  rowsOf,
  type TestRow,
} from './conditionRows.ts';
import { TestLine } from './TestLine.tsx';

const matchTexts = [
  ['all', 'all of these'],
  ['any', 'any of these'],
] as const;

/**
 * A condition, row by row: what is complete is passed on as it is built, what is not stays here until it is. `value` is null
 * where there is none yet.
 */
export function ConditionEditor({
  value,
  change,
  mayNameCollections = true,
}: {
  readonly value: Condition | null;
  /** Whether it may ask which collection a product is in. */
  readonly mayNameCollections?: boolean;
  change(condition: Condition): void;
}) {
  const [rows, setRows] = useState<ConditionRows>(() =>
    value ? rowsOf(value) : { match: 'all', parts: [emptyRow()] },
  );
  const passedOn = useRef(JSON.stringify(value));
  const given = JSON.stringify(value);
  useEffect(() => {
    // Undone, or changed by somebody else.
    if (given === passedOn.current || given === 'null') return;
    passedOn.current = given;
    setRows(rowsOf(JSON.parse(given) as Condition));
  }, [given]);
  const set = (next: ConditionRows): void => {
    setRows(next);
    const condition = conditionOf(next);
    if (!condition || JSON.stringify(condition) === passedOn.current) return;
    passedOn.current = JSON.stringify(condition);
    change(condition);
  };
  const setParts = (parts: ConditionRows['parts']): void =>
    set({ ...rows, parts: parts.length > 0 ? parts : [emptyRow()] });
  const isFull = rows.parts.length >= most.tests;
  return (
    <fieldset className="rounded-lg border bg-surface p-3">
      <legend className="sr-only">Condition</legend>
      <Rows
        match={rows.match}
        setMatch={(match) => set({ ...rows, match })}
        parts={rows.parts}
        render={(part) =>
          isGroup(part) ? (
            <fieldset key={part.id} className="rounded-md border border-dashed p-2">
              <legend className="sr-only">Group of tests</legend>
              <Rows
                match={part.match}
                setMatch={(match) => setParts(rows.parts.map((each) => (each === part ? { ...part, match } : each)))}
                parts={part.rows}
                render={(row) => (
                  <TestLine
                    key={row.id}
                    row={row}
                    mayNameCollections={mayNameCollections}
                    change={(to) =>
                      setParts(
                        rows.parts.map((each) =>
                          each === part ? { ...part, rows: replaced(part.rows, row, to) } : each,
                        ),
                      )
                    }
                    remove={() =>
                      setParts(
                        part.rows.length > 1
                          ? rows.parts.map((each) =>
                              each === part ? { ...part, rows: part.rows.filter((other) => other !== row) } : each,
                            )
                          : rows.parts.filter((each) => each !== part),
                      )
                    }
                  />
                )}
              />
              <Button
                tone="quiet"
                className="mt-1 text-[13px]"
                disabled={part.rows.length >= most.tests}
                onClick={() =>
                  setParts(
                    rows.parts.map((each) => (each === part ? { ...part, rows: [...part.rows, emptyRow()] } : each)),
                  )
                }
              >
                <Plus size={14} aria-hidden /> Add to this group
              </Button>
            </fieldset>
          ) : (
            <TestLine
              key={part.id}
              row={part}
              mayNameCollections={mayNameCollections}
              change={(to) => setParts(replaced(rows.parts, part, to))}
              remove={() => setParts(rows.parts.filter((each) => each !== part))}
            />
          )
        }
      />
      <div className="mt-2 flex flex-wrap gap-1">
        <Button
          tone="quiet"
          className="text-[13px]"
          disabled={isFull}
          onClick={() => setParts([...rows.parts, emptyRow()])}
        >
          <Plus size={14} aria-hidden /> Add a test
        </Button>
        <Button
          tone="quiet"
          className="text-[13px]"
          disabled={isFull}
          onClick={() => setParts([...rows.parts, emptyGroup()])}
        >
          <Plus size={14} aria-hidden /> Add a group
        </Button>
      </div>
    </fieldset>
  );
}

const replaced = <Part,>(parts: readonly Part[], part: Part, to: TestRow): (Part | TestRow)[] =>
  parts.map((each) => (each === part ? to : each));

/** Rows below each other, with what joins them where there are several. */
function Rows<Part extends { readonly id: number }>({
  match,
  setMatch,
  parts,
  render,
}: {
  readonly match: Match;
  setMatch(match: Match): void;
  readonly parts: readonly Part[];
  render(part: Part): React.ReactNode;
}) {
  return (
    <>
      {parts.length > 1 && (
        <p className="mb-2 flex items-center gap-1.5 text-[13px]">
          A product meets
          <Choice<Match> label="How the tests are joined" value={match} options={matchTexts} change={setMatch} />
        </p>
      )}
      <div className="space-y-2">{parts.map(render)}</div>
    </>
  );
}
