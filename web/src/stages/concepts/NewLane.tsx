import { elementShape } from '@even-lantern/core';
import { useReview } from '../../review/useReview.js';
import { ChoiceMenu } from '../../parts/ChoiceMenu.js';
import { useLaneEdits } from '../../review/useLaneEdits.js';

const FURTHER = 'further';

/** Begins a lane: of an element that holds more than one concept, or of a concept that belongs to none. */
export function NewLane({ onMade }: { onMade: (id: string) => void }) {
  const { review } = useReview();
  const { begin } = useLaneEdits();
  const choices = [
    ...review.elements
      .filter(({ searched }) => searched)
      .map(({ id, key, text }) => ({
        id,
        name: `Another concept of ${elementShape(key).name}`,
        detail: text,
      })),
    { id: FURTHER, name: 'A further concept', detail: 'part of no element' },
  ];
  return (
    <ChoiceMenu
      label="New lane"
      text="New lane"
      className="btn-xs"
      side="right"
      choices={choices}
      onChoose={(id) => void begin(id === FURTHER ? null : id).then((made) => made !== null && onMade(made))}
    />
  );
}
