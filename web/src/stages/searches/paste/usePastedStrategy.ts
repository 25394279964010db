import {
  arrangedDocument,
  arrangeStrategy,
  chosenOf,
  counted,
  linesThatFit,
  readPastedLines,
} from '@even-lantern/core';
import type { DatabaseProfile } from '@even-lantern/contract';
import { useDeferredValue, useMemo, useState } from 'react';
import { toast } from 'sonner';
import { ownLineApi } from '../../../review/api/ownLineApi.js';
import { useReview } from '../../../review/useReview.js';
import type { LaneChoice } from './PastedLane.js';
import { languageThatFits, languagesOf } from './pastedLanguages.js';

/** A pasted text as lanes and own lines, what is chosen of it, and adding that to the review. */
export function usePastedStrategy(databases: readonly DatabaseProfile[], onAdded: () => void) {
  const { review } = useReview();
  const [text, setText] = useState('');
  const [chosen, setChosen] = useState<string | null>(null);
  const [choices, setChoices] = useState<Readonly<Record<number, LaneChoice>>>({});
  const [without, setWithout] = useState<ReadonlySet<number>>(new Set());
  const [read, { error, isLoading }] = ownLineApi.useReadStrategyMutation();
  // Reading a long text must not hold up whoever types it.
  const settled = useDeferredValue(text);
  const languages = useMemo(() => languagesOf(databases), [databases]);
  const language = languages.find(({ id }) => id === chosen) ?? languageThatFits(settled, languages);
  const lines = useMemo(() => readPastedLines(settled, language), [settled, language]);
  const arranged = useMemo(() => arrangeStrategy(lines), [lines]);
  const unread = lines.filter(({ error: why }) => why !== null);
  const wrong = unread.filter(({ follows }) => follows === null);
  const following = unread.filter(({ follows }) => follows !== null).map(({ number }) => number);
  const choiceOf = (i: number): LaneChoice => ({
    taken: true,
    name: arranged.lanes[i]?.name ?? '',
    element: null,
    ...choices[i],
  });
  const chosenParts = {
    lanes: arranged.lanes.map((_, i) => choiceOf(i).taken),
    ownLines: arranged.ownLines.map((_, i) => !without.has(i)),
  };
  const fits = linesThatFit(arranged, chosenParts);
  const taken = chosenOf(arranged, chosenParts);
  const add = async () => {
    const kept = arranged.lanes.map((_, i) => choiceOf(i)).filter((choice) => choice.taken);
    const lanes = taken.lanes.map((lane, i) => ({ ...lane, name: kept[i]?.name.trim() || lane.name }));
    const document = arrangedDocument(
      '',
      { ...taken, lanes },
      (lane) => kept[lanes.indexOf(lane)]?.element ?? null,
    );
    const result = await read({ review: review.id, strategy: document });
    if (result.data === undefined) return;
    const { terms, present, ownLines } = result.data;
    const there = present === 0 ? '' : `; ${counted(present, 'term')} were there already`;
    const own = counted(ownLines, 'line of your own', 'lines of your own');
    const what = ownLines === 0 ? '' : ` and ${own}`;
    toast(`Added ${counted(terms, 'term')}${what}${there}. Ctrl Z takes it back.`);
    onAdded();
  };
  return {
    text,
    write: (next: string) => {
      setText(next);
      setChoices({});
      setWithout(new Set());
    },
    languages,
    language,
    /** whether the language was chosen by its fit */
    languageFits: chosen === null && lines.length > 0,
    chooseLanguage: setChosen,
    lines,
    unread,
    wrong,
    /** numbers of lines that refer to what cannot be read */
    following,
    arranged,
    choiceOf,
    choose: (i: number, choice: LaneChoice) => setChoices({ ...choices, [i]: choice }),
    /** whether an own line refers to nothing that is not taken */
    fits,
    takesLine: (i: number) => !without.has(i) && fits[i] === true,
    takeLine: (i: number, takes: boolean) => {
      const next = new Set(without);
      if (takes) next.delete(i);
      else next.add(i);
      setWithout(next);
    },
    taken,
    ready: taken.lanes.length + taken.ownLines.length > 0 && !isLoading && settled === text,
    add: () => void add(),
    error,
  };
}

export type PastedStrategy = ReturnType<typeof usePastedStrategy>;
