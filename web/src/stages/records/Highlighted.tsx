import { segmentText } from '@even-lantern/core';
import type { Layer } from './useLaneHighlights.js';

/** Text with what each lane matched underlined in the lane's own tint. */
export function Highlighted({ text, layers }: { text: string; layers: readonly Layer[] }) {
  return segmentText(text, layers).map((segment, i) =>
    segment.layers.length === 0 ? (
      <span key={i}>{segment.text}</span>
    ) : (
      <mark
        key={i}
        title={`found by ${segment.layers.map((layer) => (layer === 'whole' ? 'a line written by hand' : layer)).join(' and ')}`}
        style={{ '--mark-line': `var(--line-${segment.layers[0] ?? 'P'})` } as React.CSSProperties}
      >
        {segment.text}
      </mark>
    ),
  );
}
