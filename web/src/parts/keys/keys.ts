/**
 * Every key of the program, in one table: what reacts to it, the list behind `?`, the tables in the guide and their tests
 * are made from it.
 */

/** Where a key is listed: on the screen of a stage, or everywhere. */
export type KeyScreen = 'everywhere' | 'question' | 'concepts' | 'searches' | 'limits' | 'records';

export interface Key {
  screen: KeyScreen | readonly KeyScreen[];
  /** the chords that react, as react-hotkeys-hook writes them, separated by commas */
  press: string;
  /** as people read it, chord by chord; missing for one that another line names too */
  shown?: readonly string[];
  /** what it does */
  does: string;
  /** it acts while a row or a field of its own has the focus, and not on the whole screen */
  on?: 'row' | 'field';
  /** it acts while somebody writes too, and leaves nothing where that happens */
  whileWriting?: true;
}

export const KEYS = {
  'question.make': { screen: 'question', press: '1,2,3,4,5,6,7,8,9', shown: ['1', '…', '9'], does: 'make that concept a lane' },
  'question.make-all': { screen: 'question', press: 'shift+enter', shown: ['Shift Enter'], does: 'make all concepts lanes', whileWriting: true },
  shelf: { screen: ['question', 'concepts'], press: 's', shown: ['S'], does: 'go to the shelf' },

  'concepts.type': { screen: 'concepts', press: 'n', shown: ['N'], does: 'type into the first lane' },
  'concepts.choose': { screen: 'concepts', press: 'up,down', shown: ['↑', '↓'], does: 'choose what to add', on: 'field' },
  'concepts.add': { screen: 'concepts', press: 'enter', shown: ['Enter'], does: 'add it, or open the term', on: 'field' },
  'concepts.remove': { screen: 'concepts', press: 'delete', shown: ['Delete'], does: 'take the term out', on: 'row' },
  'concepts.close': { screen: 'concepts', press: 'esc', shown: ['Esc'], does: 'close the inspector' },

  'searches.run': { screen: 'searches', press: 'r', shown: ['R'], does: 'run and log' },
  'searches.run-several': { screen: 'searches', press: 'shift+r', shown: ['Shift R'], does: 'run and log in several databases' },
  'searches.write': { screen: 'searches', press: 'n', shown: ['N'], does: 'write a line of your own' },
  'searches.join': { screen: 'searches', press: 'j', shown: ['J'], does: 'choose lines, and join them' },
  'searches.checks': { screen: 'searches', press: 'c', shown: ['C'], does: 'go to what the checks found' },
  'searches.versions': { screen: 'searches', press: 'v', shown: ['V'], does: 'the versions of the strategy' },
  'searches.peer-review': { screen: 'searches', press: 'p', shown: ['P'], does: 'the peer review' },
  'searches.send-comment': { screen: 'searches', press: 'ctrl+enter', shown: ['Ctrl Enter'], does: 'in a comment: send it', on: 'field' },
  'searches.sheet': { screen: 'searches', press: '1,2,3,4,5,6,7,8,9', shown: ['1', '…', '9'], does: 'go to that sheet' },
  'searches.neighbour': { screen: 'searches', press: 'up,down', shown: ['↑', '↓'], does: 'on a line: the one before and after', on: 'row' },
  'searches.switch': { screen: 'searches', press: 'x', shown: ['X'], does: 'on a line of your own: switch it off or on', on: 'row' },
  'searches.move-up': { screen: 'searches', press: 'alt+up', shown: ['Alt ↑', 'or', 'Alt ↓'], does: 'on a line of your own: move it', on: 'row' },
  'searches.move-down': { screen: 'searches', press: 'alt+down', does: 'on a line of your own: move it down', on: 'row' },
  'searches.remove': { screen: 'searches', press: 'delete', shown: ['Delete'], does: 'on a line of your own: take it away', on: 'row' },
  'searches.copy': { screen: 'searches', press: 'alt+c', shown: ['Alt C'], does: 'copy the string' },
  'searches.copy-right': { screen: 'searches', press: 'alt+shift+c', shown: ['Alt Shift C'], does: 'side by side: copy the string on the right' },
  'searches.edit': { screen: 'searches', press: 'e', shown: ['E'], does: 'edit the line as text' },
  'searches.complete': { screen: 'searches', press: 'ctrl+space', shown: ['Ctrl Space'], does: 'in the text: what can be written here', on: 'field' },
  'searches.leave': { screen: 'searches', press: 'esc', shown: ['Esc'], does: 'leave the text, or join no lines' },

  'limits.add': { screen: 'limits', press: 'n', shown: ['N'], does: 'add a limit' },
  'limits.neighbour': { screen: 'limits', press: 'up,down', shown: ['↑', '↓'], does: 'on a limit: the one before and after', on: 'row' },
  'limits.open': { screen: 'limits', press: 'enter', shown: ['Enter'], does: 'open it', on: 'row' },
  'limits.switch': { screen: 'limits', press: 'x', shown: ['X'], does: 'switch it off or on', on: 'row' },
  'limits.move-up': { screen: 'limits', press: 'alt+up', shown: ['Alt ↑', 'or', 'Alt ↓'], does: 'move it', on: 'row' },
  'limits.move-down': { screen: 'limits', press: 'alt+down', does: 'move it down', on: 'row' },
  'limits.remove': { screen: 'limits', press: 'delete', shown: ['Delete'], does: 'take it away', on: 'row' },
  'limits.measure': { screen: 'limits', press: 'ctrl+enter', shown: ['Ctrl Enter'], does: 'in the words of a filter: measure them', on: 'field' },
  'limits.close': { screen: 'limits', press: 'esc', shown: ['Esc'], does: 'close the inspector, or drop what is tried' },

  'records.next': { screen: 'records', press: 'down,j', shown: ['↓', 'or', 'J'], does: 'next record' },
  'records.previous': { screen: 'records', press: 'up,p', shown: ['↑', 'or', 'P'], does: 'previous record' },
  'records.keep': { screen: 'records', press: 'k', shown: ['K'], does: 'keep' },
  'records.unsure': { screen: 'records', press: 'u', shown: ['U'], does: 'unsure' },
  'records.set-aside': { screen: 'records', press: 'a', shown: ['A'], does: 'set aside' },
  'records.undecided': { screen: 'records', press: '0', shown: ['0'], does: 'back to undecided' },

  'stage.1': { screen: 'everywhere', press: 'alt+1', shown: ['Alt 1', '…', 'Alt 5'], does: 'go to a stage', whileWriting: true },
  'stage.2': { screen: 'everywhere', press: 'alt+2', does: 'go to Concepts', whileWriting: true },
  'stage.3': { screen: 'everywhere', press: 'alt+3', does: 'go to Searches', whileWriting: true },
  'stage.4': { screen: 'everywhere', press: 'alt+4', does: 'go to Limits', whileWriting: true },
  'stage.5': { screen: 'everywhere', press: 'alt+5', does: 'go to Records', whileWriting: true },
  commands: { screen: 'everywhere', press: 'mod+k', shown: ['Ctrl K'], does: 'go to or do', whileWriting: true },
  undo: { screen: 'everywhere', press: 'mod+z', shown: ['Ctrl Z'], does: 'undo your last edit' },
  redo: { screen: 'everywhere', press: 'mod+shift+z,mod+y', shown: ['Ctrl Shift Z'], does: 'do it again' },
  'ledger.close': { screen: 'everywhere', press: 'esc', does: 'close the ledger' },
  'help.close': { screen: 'everywhere', press: 'esc', does: 'close the list of keys' },
  help: { screen: 'everywhere', press: 'shift+?', shown: ['?'], does: 'these keys, and the guide' },
} as const satisfies Record<string, Key>; // prettier-ignore

export type KeyId = keyof typeof KEYS;

export const keyOf = (id: KeyId): Key => KEYS[id];

export interface KeyLine {
  /** chords, and `or` or `…` between them */
  chords: readonly string[];
  does: string;
}

/** The keys of a screen as they are listed, in the order of the table. */
export function keysOfScreen(screen: string): KeyLine[] {
  return Object.values<Key>(KEYS).flatMap(({ screen: own, shown, does }) =>
    [own].flat().includes(screen as KeyScreen) && shown !== undefined ? [{ chords: shown, does }] : [],
  );
}

/** The table of keys that stands in the guide, as Markdown. */
export function keyTable(screen: KeyScreen): string {
  const inMarkdown = (chord: string) => (chord === 'or' || chord === '…' ? chord : `\`${chord}\``);
  const rows = keysOfScreen(screen).map(
    ({ chords, does }) => [chords.map(inMarkdown).join(' '), does] as const,
  );
  const wide = Math.max(...rows.map(([keys]) => keys.length));
  const long = Math.max(...rows.map(([, does]) => does.length));
  const line = (keys: string, does: string, fill = ' ') =>
    `| ${keys.padEnd(wide, fill)} | ${does.padEnd(long, fill)} |`;
  return [
    line('Key', 'What it does'),
    line('', '', '-'),
    ...rows.map(([keys, does]) => line(keys, does)),
  ].join('\n');
}
