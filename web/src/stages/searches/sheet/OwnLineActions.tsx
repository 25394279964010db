import { splitText } from '@even-lantern/core';
import type { ReviewOwnLine } from '@even-lantern/contract';
import { ChoiceMenu } from '../../../parts/ChoiceMenu.js';
import { useOwnLineEdits } from '../../../review/useOwnLineEdits.js';
import { ownLineName, type LineNames } from '../lines/sheetLines.js';

interface OwnLineActionsProps {
  own: ReviewOwnLine;
  ownLines: readonly ReviewOwnLine[];
  names: LineNames;
  onTakeAway: () => void;
}

/** What can be done with a line of one’s own as a whole. */
export function OwnLineActions({ own, ownLines, names, onTakeAway }: OwnLineActionsProps) {
  const edits = useOwnLineEdits();
  const name = ownLineName(own, names);
  const others = ownLines.filter(({ id }) => id !== own.id);
  const at = ownLines.findIndex(({ id }) => id === own.id);
  return (
    <div className="flex flex-wrap gap-1">
      <button className="btn btn-quiet btn-xs" onClick={() => void edits.change(own, { on: !own.on })}>
        {own.on ? 'Switch off' : 'Switch on'} <kbd className="font-mono font-normal">X</kbd>
      </button>
      <button
        className="btn btn-quiet btn-xs"
        disabled={at <= 0}
        onClick={() => void edits.change(own, { before: ownLines[at - 1]?.id ?? null })}
      >
        Move up
      </button>
      <button
        className="btn btn-quiet btn-xs"
        disabled={at === ownLines.length - 1}
        onClick={() => void edits.change(own, { before: ownLines[at + 2]?.id ?? null })}
      >
        Move down
      </button>
      {splitText(own.text) !== null && (
        <button className="btn btn-quiet btn-xs" onClick={() => void edits.split(own, `split ${name}`)}>
          Split
        </button>
      )}
      {others.length > 0 && (
        <ChoiceMenu
          label="Merge with another line"
          text="Merge with"
          className="btn-xs"
          choices={others.flatMap((other) =>
            (['or', 'and'] as const).map((operator) => ({
              id: `${operator} ${other.id}`,
              name: `${name} ${operator} ${ownLineName(other, names)}`,
              detail: operator === 'or' ? 'what either finds' : 'what both find',
            })),
          )}
          onChoose={(choice) => {
            const [operator = '', id] = choice.split(' ');
            const other = others.find((each) => each.id === id);
            if (other === undefined) return;
            const what = `merged ${name} with ${ownLineName(other, names)}`;
            void edits.merge(own, other, operator === 'and' ? 'and' : 'or', what);
          }}
        />
      )}
      <button className="btn btn-quiet btn-xs" onClick={onTakeAway}>
        Take away <kbd className="font-mono font-normal">Del</kbd>
      </button>
    </div>
  );
}
