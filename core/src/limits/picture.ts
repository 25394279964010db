/** The profile as a picture that stands alone (SVG 1.1), for a report. */
import {
  PICTURE_COLOURS,
  PICTURE_LEFT,
  PICTURE_WIDTH,
  svgBar,
  svgCount,
  svgDocument,
  svgText,
} from '../pictures/index.js';
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

const BAR_WIDTH = 560;
const ROW = 58;
const HEAD = 78;
const QUIET = `fill="${PICTURE_COLOURS.quiet}"`;

/** @returns a whole SVG document */
export function profilePicture({ title, source, before, steps }: ProfilePicture): string {
  const height = HEAD + ROW * steps.length + 40;
  const last = steps.at(-1)?.remains ?? before;
  return svgDocument(`${title}: what each limit takes away`, height, [
    svgText(PICTURE_LEFT, 26, title, 'font-weight="bold" font-size="15"'),
    svgText(PICTURE_LEFT, 44, source, QUIET),
    svgText(PICTURE_LEFT, 66, 'All concepts, before any limit', 'font-weight="bold"'),
    svgCount(66, before, 'font-weight="bold"'),
    ...steps.map((step, i) => rowOf(step, before ?? 0, HEAD + ROW * i)),
    svgText(PICTURE_LEFT, height - 14, 'What remains', 'font-weight="bold"'),
    svgCount(height - 14, last, 'font-weight="bold" font-size="15"'),
  ]);
}

function rowOf(
  { text: named, way, reason, remains, lost, lacking }: PictureStep,
  before: number,
  y: number,
): string {
  const width = (part: number | null) => (before === 0 ? 0 : (BAR_WIDTH * Math.max(0, part ?? 0)) / before);
  const unjudged = Math.min(lacking ?? 0, lost ?? 0);
  const bars: [number, string][] = [
    [width(remains), PICTURE_COLOURS.left],
    [width((lost ?? 0) - unjudged), PICTURE_COLOURS.lost],
    [width(unjudged), PICTURE_COLOURS.lacks],
  ];
  let x = PICTURE_LEFT;
  const drawn = bars.map(([wide, colour]) => {
    const bar = svgBar(x, y + 20, wide, 9, colour);
    x += wide;
    return bar;
  });
  const lacks = (lacking ?? 0) > 0 ? ` ${formatCount(lacking ?? 0)} of those lost merely lack the data.` : '';
  return [
    svgText(PICTURE_LEFT, y + 14, named),
    `<text x="${PICTURE_LEFT + BAR_WIDTH}" y="${y + 14}" text-anchor="end" ${QUIET} font-size="11">${escapeXml(way)}</text>`,
    svgBar(PICTURE_LEFT, y + 20, BAR_WIDTH, 9, PICTURE_COLOURS.rest),
    ...drawn,
    svgText(
      PICTURE_LEFT,
      y + 43,
      `${reason === '' ? '' : `Because ${reason}.`}${lacks}`.trim(),
      `${QUIET} font-size="11"`,
    ),
    svgCount(y + 28, remains),
    `<text x="${PICTURE_WIDTH - PICTURE_LEFT}" y="${y + 43}" text-anchor="end" ${QUIET} font-size="11">${lost === null ? '' : lost === 0 ? '±0' : `−${formatCount(lost)}`}</text>`,
  ].join('\n');
}
