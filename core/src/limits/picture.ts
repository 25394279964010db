/** The profile as a picture that stands alone (SVG 1.1), for a report. */
import { escapeXml } from '../records/index.js';
import { formatCount } from '../text/index.js';

export interface PictureStep {
  /** such as “Language English, French” */
  text: string;
  /** such as “own limit”; empty for one that is switched off */
  way: string;
  reason: string;
  /** null where it was not counted */
  remains: number | null;
  lost: number | null;
  lacking: number | null;
}

export interface ProfilePicture {
  /** such as the title of the review */
  title: string;
  /** the database and its release */
  source: string;
  before: number | null;
  steps: readonly PictureStep[];
}

const WIDTH = 760;
const BAR_WIDTH = 560;
const ROW = 58;
const HEAD = 78;
const LEFT = 20;
const COLOURS = {
  ink: '#15213b',
  quiet: '#535d73',
  left: '#6b7da3',
  lost: '#e3bfb2',
  lacks: '#c98f7c',
  rest: '#ece5d6',
};
/** Letters of a line, beyond which it is cut with an ellipsis. */
const MOST_LETTERS = 96;

/** @returns a whole SVG document */
export function profilePicture({ title, source, before, steps }: ProfilePicture): string {
  const height = HEAD + ROW * steps.length + 40;
  const last = steps.at(-1)?.remains ?? before;
  const rows = steps.map((step, i) => rowOf(step, before ?? 0, HEAD + ROW * i));
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDTH}" height="${height}" viewBox="0 0 ${WIDTH} ${height}" font-family="sans-serif" font-size="13" fill="${COLOURS.ink}">`,
    `<title>${escapeXml(`${title}: what each limit takes away`)}</title>`,
    `<rect width="${WIDTH}" height="${height}" fill="#fffdf8"/>`,
    text(LEFT, 26, title, 'font-weight="bold" font-size="15"'),
    text(LEFT, 44, source, `fill="${COLOURS.quiet}"`),
    text(LEFT, 66, 'All concepts, before any limit', 'font-weight="bold"'),
    number(66, before, 'font-weight="bold"'),
    ...rows,
    text(LEFT, height - 14, 'What remains', 'font-weight="bold"'),
    number(height - 14, last, 'font-weight="bold" font-size="15"'),
    '</svg>',
  ].join('\n');
}

function rowOf(
  { text: named, way, reason, remains, lost, lacking }: PictureStep,
  before: number,
  y: number,
): string {
  const width = (part: number | null) => (before === 0 ? 0 : (BAR_WIDTH * Math.max(0, part ?? 0)) / before);
  const unjudged = Math.min(lacking ?? 0, lost ?? 0);
  const bars: [number, string][] = [
    [width(remains), COLOURS.left],
    [width((lost ?? 0) - unjudged), COLOURS.lost],
    [width(unjudged), COLOURS.lacks],
  ];
  let x = LEFT;
  const drawn = bars.map(([wide, colour]) => {
    const bar = `<rect x="${x.toFixed(1)}" y="${y + 20}" width="${wide.toFixed(1)}" height="9" fill="${colour}"/>`;
    x += wide;
    return bar;
  });
  const lacks = (lacking ?? 0) > 0 ? ` ${formatCount(lacking ?? 0)} of those lost merely lack the data.` : '';
  return [
    text(LEFT, y + 14, named),
    `<text x="${LEFT + BAR_WIDTH}" y="${y + 14}" text-anchor="end" fill="${COLOURS.quiet}" font-size="11">${escapeXml(way)}</text>`,
    `<rect x="${LEFT}" y="${y + 20}" width="${BAR_WIDTH}" height="9" fill="${COLOURS.rest}"/>`,
    ...drawn,
    text(
      LEFT,
      y + 43,
      `${reason === '' ? '' : `Because ${reason}.`}${lacks}`.trim(),
      `fill="${COLOURS.quiet}" font-size="11"`,
    ),
    number(y + 28, remains),
    `<text x="${WIDTH - 20}" y="${y + 43}" text-anchor="end" fill="${COLOURS.quiet}" font-size="11">${lost === null ? '' : lost === 0 ? '±0' : `−${formatCount(lost)}`}</text>`,
  ].join('\n');
}

function text(x: number, y: number, content: string, attributes = ''): string {
  const letters = [...content];
  const shown = letters.length > MOST_LETTERS ? `${letters.slice(0, MOST_LETTERS - 1).join('')}…` : content;
  return `<text x="${x}" y="${y}" ${attributes}>${escapeXml(shown)}</text>`;
}

function number(y: number, count: number | null, attributes = ''): string {
  return `<text x="${WIDTH - 20}" y="${y}" text-anchor="end" ${attributes}>${count === null ? '–' : formatCount(count)}</text>`;
}
