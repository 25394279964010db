import type { Query } from '@even-lantern/core';
import type { TranslatedLine } from '@even-lantern/contract';
import { Count } from '../../../parts/Count.js';
import { Difference } from './Difference.js';
import { PlainTree } from './PlainTree.js';

interface WhatItMeansProps {
  query: Query;
  /** the line whose count is of just this text; null where the text is not counted yet */
  counted: TranslatedLine | null;
}

/** A text that was read, in plain words. */
export function WhatItMeans({ query, counted }: WhatItMeansProps) {
  return (
    <section aria-label="What it means" className="flex flex-col gap-1">
      <h3 className="small-head flex justify-between gap-2">
        What it means
        {counted?.written?.problem === null && (
          <span className="text-base-content font-normal">
            finds <Count hits={counted.hits} error={counted.error} />
          </span>
        )}
      </h3>
      <div
        className="max-lg:max-h-60 max-lg:overflow-auto"
        tabIndex={0}
        role="group"
        aria-label="What it means, scrolls"
      >
        <PlainTree query={query} />
      </div>
    </section>
  );
}

interface WhatLanesGiveProps {
  text: string;
  lanes: NonNullable<TranslatedLine['lanes']>;
  language: 'own' | 'cql';
  onTake: () => void;
}

/** The text that the lanes would give in place of what was written, with the difference marked. */
export function WhatLanesGive({ text, lanes, language, onTake }: WhatLanesGiveProps) {
  return (
    <section aria-label="What the lanes give" className="flex flex-col gap-1">
      <h3 className="small-head flex items-center justify-between gap-2">
        What the lanes give
        <span className="text-base-content font-normal">
          finds <Count hits={lanes.hits} error={lanes.error} />
        </span>
      </h3>
      <pre className="max-h-48 overflow-auto font-mono text-xs break-words whitespace-pre-wrap" tabIndex={0}>
        <Difference text={lanes[language]} from={text} />
      </pre>
      <button className="btn btn-quiet btn-xs self-start" onClick={onTake}>
        Take what the lanes give
      </button>
    </section>
  );
}
