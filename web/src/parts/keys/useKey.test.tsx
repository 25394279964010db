import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { ChoiceMenu } from '../ChoiceMenu.js';
import { KEYS, keysOfScreen, type Key, type KeyId } from './keys.js';
import { onKeys, useKey } from './useKey.js';

const ids = Object.keys(KEYS) as KeyId[];
const spec = (id: KeyId): Key => KEYS[id];
const ofScreen = ids.filter((id) => spec(id).on === undefined);
const letters = ofScreen.filter((id) => spec(id).whileWriting !== true);

function Registered({ id, act }: { id: KeyId; act: () => void }) {
  useKey(id, act);
  return null;
}

const PLACES = ['Text', 'Number', 'Long text', 'Choice', 'Editor'] as const;

/** A screen on which every key that acts on a whole screen is listened to, with places that people write in. */
function Screen({ act }: { act: (id: KeyId) => void }) {
  return (
    <>
      {ofScreen.map((id) => (
        <Registered key={id} id={id} act={() => act(id)} />
      ))}
      <input aria-label="Text" />
      <input aria-label="Number" type="number" />
      <textarea aria-label="Long text" />
      <select aria-label="Choice">
        <option>one</option>
      </select>
      <div aria-label="Editor" role="textbox" contentEditable suppressContentEditableWarning tabIndex={0} />
      <ChoiceMenu label="Menu" text="Menu" choices={[{ id: 'r', name: 'Rest' }]} onChoose={() => undefined} />
      <button>A button</button>
    </>
  );
}

/** The first chord of a key, as user-event writes it. */
function typed(id: KeyId): string {
  const names: Record<string, string> = {
    mod: 'Control', ctrl: 'Control', alt: 'Alt', shift: 'Shift', up: 'ArrowUp', down: 'ArrowDown', esc: 'Escape',
    enter: 'Enter', delete: 'Delete', space: ' ',
  }; // prettier-ignore
  const parts = (spec(id).press.split(',')[0] ?? '').split('+');
  const held = parts.slice(0, -1).map((each) => names[each] ?? each);
  const last = parts.at(-1) ?? '';
  return `${held.map((each) => `{${each}>}`).join('')}${last in names ? `{${names[last]}}` : last}${held.map((each) => `{/${each}}`).join('')}`;
}

function shown() {
  const acted: KeyId[] = [];
  render(<Screen act={(id) => acted.push(id)} />);
  return { acted, user: userEvent.setup() };
}

test.each(ofScreen)('%s acts while nothing else takes the keys', async (id) => {
  const { acted, user } = shown();
  await user.click(screen.getByRole('button', { name: 'A button' }));
  await user.keyboard(typed(id));
  expect(acted).toContain(id);
});

test.each(PLACES)('no letter, arrow or other plain key acts while somebody writes in: %s', async (place) => {
  const { acted, user } = shown();
  for (const id of letters) {
    screen.getByLabelText(place).focus();
    await user.keyboard(typed(id));
  }
  expect(acted).toEqual([]);
});

test.each(PLACES)('keys that act while somebody writes leave nothing in: %s', async (place) => {
  const { acted, user } = shown();
  const writing = ofScreen.filter((id) => spec(id).whileWriting === true);
  const field = screen.getByLabelText(place);
  const before = [(field as HTMLInputElement).value, field.textContent];
  for (const id of writing) {
    field.focus();
    await user.keyboard(typed(id));
  }
  expect(new Set(acted)).toEqual(new Set(writing));
  expect([(field as HTMLInputElement).value, field.textContent]).toEqual(before);
});

test('letters in a menu choose there; chords are still keys of the screen, unless the menu is open', async () => {
  const { acted, user } = shown();
  const menu = screen.getByRole('combobox', { name: 'Menu' });
  menu.focus();
  await user.keyboard('r');
  expect(acted).toEqual([]);
  await user.keyboard('{Escape}{Control>}z{/Control}');
  expect(acted).toContain('undo');
  acted.length = 0;
  await user.click(menu);
  await screen.findByRole('option', { name: 'Rest' });
  await user.keyboard('{Control>}z{/Control}k');
  expect(acted).toEqual([]);
});

test('a row’s key acts with exactly what is held', async () => {
  const acted: string[] = [];
  const user = userEvent.setup();
  render(
    <button
      onKeyDown={onKeys({
        'limits.switch': () => acted.push('switch'),
        'limits.move-up': () => acted.push('up'),
      })}
    >
      Years
    </button>,
  );
  screen.getByRole('button').focus();
  await user.keyboard('{Control>}x{/Control}{ArrowUp}y');
  expect(acted).toEqual([]);
  await user.keyboard('x{Alt>}{ArrowUp}{/Alt}');
  expect(acted).toEqual(['switch', 'up']);
});

test('no two keys of one screen react to the same chord, unless one acts on a row and is told by the other', () => {
  const screens = ['question', 'concepts', 'searches', 'limits', 'records'] as const;
  const clashes = screens.flatMap((name) => {
    const own = letters.filter((id) =>
      [spec(id).screen].flat().some((each) => each === name || each === 'everywhere'),
    );
    const chords = own.flatMap((id) => spec(id).press.split(','));
    return chords.filter((chord, at) => chord !== 'esc' && chords.indexOf(chord) !== at);
  });
  expect(clashes).toEqual([]);
  expect(keysOfScreen('records').length).toBeGreaterThan(4);
});
