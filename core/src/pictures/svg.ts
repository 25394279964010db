/** Parts of pictures that stand alone (SVG 1.1), for reports. Lengths are in pixels of the picture. */
import { escapeXml } from '../records/index.js';
import { formatCount } from '../text/index.js';

export const PICTURE_WIDTH = 760;
export const PICTURE_LEFT = 20;
export const PICTURE_COLOURS = {
  ink: '#15213b',
  quiet: '#535d73',
  paper: '#fffdf8',
  left: '#6b7da3',
  alone: '#c8d0de',
  lost: '#e3bfb2',
  lacks: '#c98f7c',
  rest: '#ece5d6',
};
/** Letters of a line, beyond which it is cut with an ellipsis. */
const MOST_LETTERS = 96;

/** @param title for those who do not see the picture */
export function svgDocument(title: string, height: number, parts: readonly string[]): string {
  const width = PICTURE_WIDTH;
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}" font-family="sans-serif" font-size="13" fill="${PICTURE_COLOURS.ink}">`,
    `<title>${escapeXml(title)}</title>`,
    `<rect width="${width}" height="${height}" fill="${PICTURE_COLOURS.paper}"/>`,
    ...parts,
    '</svg>',
  ].join('\n');
}

export function svgText(x: number, y: number, content: string, attributes = ''): string {
  const letters = [...content];
  const shown = letters.length > MOST_LETTERS ? `${letters.slice(0, MOST_LETTERS - 1).join('')}…` : content;
  return `<text x="${x}" y="${y}" ${attributes}>${escapeXml(shown)}</text>`;
}

/** A count at the right edge; a dash where there is none. */
export function svgCount(y: number, count: number | null, attributes = ''): string {
  const shown = count === null ? '–' : formatCount(count);
  return `<text x="${PICTURE_WIDTH - PICTURE_LEFT}" y="${y}" text-anchor="end" ${attributes}>${shown}</text>`;
}

export function svgBar(x: number, y: number, width: number, height: number, colour: string): string {
  return `<rect x="${x.toFixed(1)}" y="${y}" width="${width.toFixed(1)}" height="${height}" fill="${colour}"/>`;
}
