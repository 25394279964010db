import { segmentText } from '@even-lantern/core';

interface OwnStringProps {
  text: string;
  /** as UTF-16 offsets */
  losses: readonly { from: number; to: number }[];
}

/** The string of a line in the database's dialect. What stands for something that could not be said is underlined. */
export function OwnString({ text, losses }: OwnStringProps) {
  const spans = losses.map(({ from, to }) => ({ start: from, end: to }));
  return segmentText(text, [{ layer: 'lost', spans }]).map(({ text: part, layers }, i) =>
    layers.length > 0 ? (
      <span key={i} className="decoration-warning underline decoration-wavy underline-offset-4">
        {part}
      </span>
    ) : (
      part
    ),
  );
}
