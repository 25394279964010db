import type { KeyboardEvent as RowEvent } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { keyOf, type KeyId } from './keys.js';

/** What takes every key for itself: a menu that is open, an editor. */
const TAKES_ALL = '[role=menu], [aria-haspopup][aria-expanded=true], [contenteditable=true]';
/** What takes letters and arrows for itself while it has the focus; chords and Esc are left to the screen. */
const TAKES_PLAIN = '[role=combobox], [role=slider], [role=separator]';

function isTaken({ target, key, altKey, ctrlKey, metaKey }: KeyboardEvent): boolean {
  if (!(target instanceof Element)) return false;
  if (target.closest(TAKES_ALL) !== null) return true;
  const plain = !altKey && !ctrlKey && !metaKey && key !== 'Escape';
  return plain && target.closest(TAKES_PLAIN) !== null;
}

/**
 * A letter is what is printed on the key, wherever it lies; digits and what is held with Alt are places, since what they
 * produce depends on the keyboard.
 */
const byPlace = (press: string): boolean => /\d|alt\+/.test(press);

interface KeyOptions {
  enabled?: boolean;
}

/**
 * Does something when a key of the table is pressed. No key acts while a field, a menu or an editor has the focus, unless
 * the table says so; and none leaves a character anywhere.
 */
export function useKey(
  id: KeyId,
  act: (event: KeyboardEvent) => void,
  { enabled = true }: KeyOptions = {},
): void {
  const { press, whileWriting = false } = keyOf(id);
  useHotkeys(press, act, {
    enabled,
    preventDefault: true,
    useKey: !byPlace(press),
    enableOnFormTags: whileWriting,
    enableOnContentEditable: whileWriting,
    ignoreEventWhen: (event) => !whileWriting && isTaken(event),
  });
}

/** For what acts while a row or a field has the focus: the handler of its `onKeyDown`. */
export function onKeys(acts: Partial<Record<KeyId, () => void>>): (event: RowEvent) => void {
  return (event) => {
    for (const [id, act] of Object.entries(acts)) {
      if (!isPressed(id as KeyId, event)) continue;
      event.preventDefault();
      act();
      return;
    }
  };
}

const NAMES: Readonly<Record<string, string>> = {
  up: 'arrowup',
  down: 'arrowdown',
  esc: 'escape',
  space: ' ',
};

/** Whether an event is a key of the table. */
export function isPressed(id: KeyId, event: Omit<RowEvent, 'nativeEvent'>): boolean {
  return keyOf(id)
    .press.split(',')
    .some((chord) => {
      const parts = chord.split('+');
      const key = parts.pop() ?? '';
      return (
        event.key.toLowerCase() === (NAMES[key] ?? key) &&
        event.altKey === parts.includes('alt') &&
        (event.ctrlKey || event.metaKey) === (parts.includes('ctrl') || parts.includes('mod')) &&
        event.shiftKey === parts.includes('shift')
      );
    });
}
