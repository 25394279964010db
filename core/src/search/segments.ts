import type { Span } from './highlight.js';

/** A stretch of text and the layers that mark it, in their order. */
export interface Segment<Layer> {
  text: string;
  layers: Layer[];
}

/**
 * Cuts a text at the ends of all spans of all layers, so that overlapping highlights can be shown together.
 * The segments joined are the text.
 */
export function segmentText<Layer>(
  text: string,
  layers: readonly { layer: Layer; spans: readonly Span[] }[],
): Segment<Layer>[] {
  const cuts = new Set([0, text.length]);
  for (const { spans } of layers) for (const { start, end } of spans) cuts.add(start).add(end);
  const sorted = [...cuts].sort((a, b) => a - b);
  return sorted.slice(0, -1).map((start, i) => ({
    text: text.slice(start, sorted[i + 1]),
    layers: layers
      .filter(({ spans }) => spans.some((span) => span.start <= start && start < span.end))
      .map(({ layer }) => layer),
  }));
}
