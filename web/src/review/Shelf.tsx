import { counted, describeTerm, elementShape } from '@even-lantern/core';
import type { ShelfItem } from '@even-lantern/contract';
import { useKey } from '../parts/keys/useKey.js';
import { lanesOfReview } from './lanes.js';
import { useReview } from './useReview.js';
import { useShelf } from './useShelf.js';
import { ChoiceMenu, type Choice } from '../parts/ChoiceMenu.js';

const TAKE_OFF = 'off';

/** Headings and words that are kept for later; each goes into a lane, or becomes one, whenever wanted. */
export function Shelf({ up = false }: { up?: boolean }) {
  const { review } = useReview();
  useKey('shelf', () => document.querySelector<HTMLElement>('[data-shelf] button')?.focus());
  const { shelf } = review;
  return (
    <section aria-label="Shelf" data-shelf className="flex flex-wrap items-center gap-2 text-sm">
      <h2 className="font-semibold">Shelf</h2>
      {shelf.map((item) => (
        <OnShelf key={item.id} item={item} up={up} />
      ))}
      <span className="quiet text-xs">
        {shelf.length === 0
          ? 'Empty. Keep words and headings for later here; they are not searched.'
          : 'Kept for later, not searched.'}{' '}
        {shelf.length > 0 && (
          <>
            Reach it with <kbd className="font-mono">S</kbd>.
          </>
        )}
      </span>
    </section>
  );
}

function OnShelf({ item, up }: { item: ShelfItem; up: boolean }) {
  const { review } = useReview();
  const { moveTo, takeOff, make } = useShelf();
  const lanes = lanesOfReview(review);
  const terms = item.contents.map((content) => describeTerm(content).text).join(', ');
  const choices: Choice[] = [
    ...lanes.map(({ id, name }) => ({ id: `lane ${id}`, name, group: 'Into the lane' })),
    ...review.elements.map(({ id, key }) => ({
      id: `new ${id}`,
      name: elementShape(key).name,
      group: 'As a lane of its own',
    })),
    { id: 'new ', name: 'A further concept', group: 'As a lane of its own' },
    { id: TAKE_OFF, name: 'Take it off the shelf', group: terms === item.name ? 'Else' : terms },
  ];
  const choose = async (chosen: string) => {
    if (chosen === TAKE_OFF) return takeOff(item);
    const [where, id = ''] = chosen.split(' ');
    if (where === 'lane') {
      const lane = lanes.find((each) => each.id === id);
      return lane === undefined ? undefined : moveTo(item, lane);
    }
    const terms = item.contents.map((content) => ({ content, origin: item.origin }));
    const concept = { elementId: id === '' ? null : id, name: item.name, terms, fromShelf: item.id };
    await make({ concepts: [concept], texts: [] });
  };
  return (
    <span
      title={`${counted(item.contents.length, 'term')}: ${terms}${item.source === '' ? '' : `. From: ${item.source}`}`}
    >
      <ChoiceMenu
        label={`${item.name}, on the shelf`}
        text={item.name}
        className="btn-xs border-dashed max-w-56"
        up={up}
        choices={choices}
        onChoose={(id) => void choose(id)}
      />
    </span>
  );
}
