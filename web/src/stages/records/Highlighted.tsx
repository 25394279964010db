import { segmentText } from '@even-lantern/core';
import type { Layer, MarkLayer } from './useLaneHighlights.js';

function nameOfLayer(layer: MarkLayer): string {
  return layer === 'whole' ? 'a line written by hand' : layer === 'further' ? 'a further concept' : layer;
}

/** Text with what each lane matched underlined in the lane's own tint. */
export function Highlighted({ text, layers }: { text: string; layers: readonly Layer[] }) {
  return segmentText(text, layers).map((segment, i) =>
    segment.layers.length === 0 ? (
      <span key={i}>{segment.text}</span>
    ) : (
      <mark
        key={i}
        title={`found by ${segment.layers.map((layer) => nameOfLayer(layer)).join(' and ')}`}
        style={{ '--mark-line': `var(--line-${segment.layers[0] ?? 'P'})` } as React.CSSProperties}
      >
        {segment.text}
      </mark>
    ),
  );
}
