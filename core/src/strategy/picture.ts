/** Where the numbers of a strategy fall, as a picture that stands alone (SVG 1.1), for a report. */
import { PICTURE_COLOURS, PICTURE_LEFT, svgBar, svgCount, svgDocument, svgText } from '../pictures/index.js';
import { formatCount } from '../text/index.js';

/** One part that is joined: a lane, or a line of one’s own. */
export interface FallPictureStep {
  /** such as “and timed bright light” or “without newborns” */
  text: string;
  /** what it finds by itself; null where not counted */
  alone: number | null;
  /** what is left once it is joined */
  left: number | null;
}

export interface StrategyPicture {
  /** such as the title of the review */
  title: string;
  /** the database and its release */
  source: string;
  steps: readonly FallPictureStep[];
}

const BAR_WIDTH = 600;
const ROW = 46;
const HEAD = 60;

/** @returns a whole SVG document */
export function strategyPicture({ title, source, steps }: StrategyPicture): string {
  const most = Math.max(1, ...steps.flatMap(({ alone, left }) => [alone ?? 0, left ?? 0]));
  const width = (count: number | null) => (BAR_WIDTH * (count ?? 0)) / most;
  return svgDocument(`${title}: where the numbers fall`, HEAD + ROW * steps.length + 10, [
    svgText(PICTURE_LEFT, 26, title, 'font-weight="bold" font-size="15"'),
    svgText(PICTURE_LEFT, 44, source, `fill="${PICTURE_COLOURS.quiet}"`),
    ...steps.flatMap(({ text, alone, left }, i) => {
      const y = HEAD + ROW * i;
      const last = i === steps.length - 1;
      const byItself = alone === null ? '' : `  (${formatCount(alone)} by itself)`;
      return [
        svgText(PICTURE_LEFT, y + 14, text + byItself, last ? 'font-weight="bold"' : ''),
        svgBar(PICTURE_LEFT, y + 20, width(alone), 4, PICTURE_COLOURS.alone),
        svgBar(PICTURE_LEFT, y + 25, width(left), 10, last ? PICTURE_COLOURS.ink : PICTURE_COLOURS.left),
        svgCount(y + 34, left, last ? 'font-weight="bold" font-size="15"' : ''),
      ];
    }),
  ]);
}
