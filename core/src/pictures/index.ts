export {
  PICTURE_COLOURS,
  PICTURE_LEFT,
  PICTURE_WIDTH,
  svgBar,
  svgCount,
  svgDocument,
  svgText,
} from './svg.js';
