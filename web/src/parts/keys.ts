/** The keys of each screen, as `?` lists them; the guide tells of the same ones. */
export type KeyLine = readonly [keys: string, what: string];

export const EVERYWHERE: readonly KeyLine[] = [
  ['Alt 1 … Alt 5', 'go to a stage'],
  ['Ctrl K', 'go to or do'],
  ['Ctrl Z', 'undo your last edit'],
  ['Ctrl Shift Z', 'do it again'],
  ['?', 'these keys, and the guide'],
];

export const BY_STAGE: Readonly<Record<string, readonly KeyLine[]>> = {
  question: [
    ['1 … 9', 'make that concept a lane'],
    ['Shift Enter', 'make all concepts lanes'],
    ['S', 'go to the shelf'],
  ],
  concepts: [
    ['N', 'type into the first lane'],
    ['↑ ↓', 'choose what to add'],
    ['Enter', 'add it, or open the term'],
    ['Delete', 'take the term out'],
    ['S', 'go to the shelf'],
    ['Esc', 'close the inspector'],
  ],
  searches: [
    ['R', 'run and log'],
    ['Shift R', 'run and log in several databases'],
    ['N', 'write a line of your own'],
    ['J', 'choose lines, and join them'],
    ['C', 'go to what the checks found'],
    ['V', 'the versions of the strategy'],
    ['P', 'the peer review'],
    ['Ctrl Enter', 'in a comment: send it'],
    ['1 … 9', 'go to that sheet'],
    ['↑ ↓', 'on a line: the one before and after'],
    ['X', 'on a line of your own: switch it off or on'],
    ['Alt ↑ or Alt ↓', 'on a line of your own: move it'],
    ['Delete', 'on a line of your own: take it away'],
    ['Alt C', 'copy the string'],
    ['Alt Shift C', 'side by side: copy the string on the right'],
    ['E', 'edit the line as text'],
    ['Ctrl Space', 'in the text: what can be written here'],
    ['Esc', 'leave the text'],
  ],
  limits: [
    ['N', 'add a limit'],
    ['↑ ↓', 'on a limit: the one before and after'],
    ['Enter', 'open it'],
    ['X', 'switch it off or on'],
    ['Alt ↑ or Alt ↓', 'move it'],
    ['Delete', 'take it away'],
    ['Ctrl Enter', 'in the words of a filter: measure them'],
    ['Esc', 'close the inspector, or drop what is tried'],
  ],
  records: [
    ['↑ ↓ or J P', 'previous and next record'],
    ['K', 'keep'],
    ['U', 'unsure'],
    ['A', 'set aside'],
    ['0', 'back to undecided'],
  ],
};
