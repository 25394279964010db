/** All checks, in the order in which they are told. */
import type { Check } from '../check.js';
import { contained } from './contained.js';
import { differsElsewhere } from './differsElsewhere.js';
import { entryTerm } from './entryTerm.js';
import { fieldMissing } from './fieldMissing.js';
import { findsNothing } from './findsNothing.js';
import { hidesUnindexed } from './hidesUnindexed.js';
import { leftOver } from './leftOver.js';
import { longPattern } from './longPattern.js';
import { mixedOperators } from './mixedOperators.js';
import { oneKind } from './oneKind.js';
import { shortPattern } from './shortPattern.js';
import { silentMapping } from './silentMapping.js';
import { throwsAway } from './throwsAway.js';
import { twoConcepts } from './twoConcepts.js';
import { unquotedPhrase } from './unquotedPhrase.js';
import { unusedLine } from './unusedLine.js';
import { variantMissing } from './variantMissing.js';
import { withoutNarrower } from './withoutNarrower.js';
import { wordProcessor } from './wordProcessor.js';
import { wrongReference } from './wrongReference.js';

export const CHECKS: readonly Check[] = [
  mixedOperators,
  wrongReference,
  twoConcepts,
  findsNothing,
  variantMissing,
  unquotedPhrase,
  shortPattern,
  longPattern,
  leftOver,
  wordProcessor,
  entryTerm,
  withoutNarrower,
  oneKind,
  throwsAway,
  silentMapping,
  hidesUnindexed,
  fieldMissing,
  differsElsewhere,
  contained,
  unusedLine,
];
