import { segmentText, type Loss } from '@even-lantern/core';

interface OwnStringProps {
  text: string;
  /** as UTF-16 offsets */
  losses: readonly { from: number; to: number; effect?: Loss['effect'] }[];
}

/**
 * The string of a line in the database's dialect. What stands for something that could not be said is underlined with a
 * wave, or with dots where it finds the same.
 */
export function OwnString({ text, losses }: OwnStringProps) {
  const spans = (same: boolean) =>
    losses
      .filter(({ effect }) => (effect === 'same') === same)
      .map(({ from, to }) => ({ start: from, end: to }));
  const layersOf = [
    { layer: 'lost', spans: spans(false) },
    { layer: 'same', spans: spans(true) },
  ];
  return segmentText(text, layersOf).map(({ text: part, layers }, i) =>
    layers.length > 0 ? (
      <span
        key={i}
        className={`underline underline-offset-4 ${layers.includes('lost') ? 'decoration-warning decoration-wavy' : 'decoration-dotted'}`}
      >
        {part}
      </span>
    ) : (
      part
    ),
  );
}
