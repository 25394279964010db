import { joinedText, lineKeyOf, ownKey, type LineKey, type OwnLineRole } from '@even-lantern/core';
import { useState } from 'react';
import { useOwnLineEdits } from '../../../review/useOwnLineEdits.js';
import { useBroughtIntoSight } from './useBroughtIntoSight.js';
import { inOrder, lineAtFirst, type SheetState } from './useSheet.js';

/** The line that is looked at or written in, those chosen to be joined, and what is done with them. */
export function useChosenLine(sheet: SheetState) {
  const { lines, rowOf } = sheet;
  const { ownLines } = sheet.review;
  const edits = useOwnLineEdits();
  const [chosen, setChosen] = useState<LineKey | null>(null);
  const [editing, setEditing] = useState(false);
  const [leaving, setLeaving] = useState<string | null>(null);
  const [joining, setJoining] = useState<LineKey[] | null>(null);
  const show = useBroughtIntoSight(ownLines);
  const own = ownLines.find(({ id }) => ownKey(id) === chosen);
  const line =
    lines.find((each) => lineKeyOf(each) === chosen) ?? (own === undefined ? lineAtFirst(lines) : undefined);
  const selected = own !== undefined ? ownKey(own.id) : line === undefined ? null : lineKeyOf(line);
  const select = (key: LineKey, write = false) => {
    setChosen(key);
    setEditing(write);
    setLeaving(null);
  };
  const addLine = async (text = '', role: OwnLineRole = 'looks') => {
    const added = await edits.add({ role, text, note: '' });
    if (added === null) return;
    select(ownKey(added.id), text === '');
    show(ownKey(added.id));
  };
  return {
    /** the line of one's own that is selected */
    own,
    /** the line of the sheet that is selected; an own line that is empty or off has none */
    line,
    selected,
    // A line that was chosen and is not there yet is no reason to write in another one.
    editing: editing && (chosen === null || selected === chosen),
    setEditing,
    select,
    goTo: (key: LineKey) => {
      select(rowOf(key));
      show(rowOf(key));
    },
    /** What was selected is not there any more. */
    gone: () => {
      setChosen(null);
      setEditing(false);
      setLeaving(null);
    },
    /** To the next line that has no count yet. */
    goToUncounted: () => {
      const next = lines.find(({ number, hits }) => number > (line?.number ?? 0) && hits === null);
      if (next !== undefined) setChosen(lineKeyOf(next));
    },
    addLine,
    moveBefore: (id: string, before: string | null) => {
      const moved = ownLines.find((each) => each.id === id);
      if (moved !== undefined) void edits.change(moved, { before });
    },
    /** the id of the own line that is to be taken away although others use it */
    leaving,
    setLeaving,
    /** the lines chosen to be joined, in the order of choosing; null while none are */
    joining,
    setJoining,
    toggleJoining: () => setJoining(joining === null ? [] : null),
    chooseToJoin: (key: LineKey) =>
      setJoining((before) =>
        before === null || before.includes(key)
          ? (before?.filter((each) => each !== key) ?? null)
          : [...before, key],
      ),
    join: (operator: 'and' | 'or' | 'not') => {
      const keys = joining ?? [];
      setJoining(null);
      // The first that was chosen is what others are taken from.
      void addLine(joinedText(operator === 'not' ? keys : inOrder(sheet, keys), operator));
    },
  };
}

export type ChosenLine = ReturnType<typeof useChosenLine>;
