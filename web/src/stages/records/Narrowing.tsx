import { formatCount, RECORD_FORMATS } from '@even-lantern/core';
import { DECISIONS, type RecordSort } from '@even-lantern/contract';
import { Download } from 'lucide-react';
import { Radio } from '../../parts/Radio.js';
import { NarrowByDesign } from './NarrowByDesign.js';
import { SORTS, type Desk } from './useDesk.js';

/** Beside the list: which decisions and designs are shown, in what order, and what is kept as a file. */
export function Narrowing({ desk, all }: { desk: Desk; all: number }) {
  const { review, pages, designs, sort, decision, design, sortBy, showDecision, showDesign } = desk;
  return (
    <aside
      aria-label="Narrow"
      className="rule flex w-[10.5rem] shrink-0 flex-col gap-3 overflow-y-auto border-r px-3 py-3 max-md:w-auto max-md:flex-row max-md:flex-wrap max-md:border-r-0 max-md:border-b"
    >
      <fieldset className="max-md:flex max-md:max-w-xs max-md:flex-wrap max-md:content-start max-md:gap-x-3">
        <legend className="small-head pb-1">Decision</legend>
        {(['any', ...DECISIONS] as const).map((each) => (
          <Radio
            key={each}
            name="decision"
            className={`items-center py-0.5 ${decision === each ? 'font-bold' : ''}`}
            checked={decision === each}
            onChoose={() => showDecision(each)}
          >
            <span className="flex-1">{each}</span>
            <span className="count">{formatCount(each === 'any' ? all : (pages.counts?.[each] ?? 0))}</span>
          </Radio>
        ))}
      </fieldset>
      <NarrowByDesign designs={designs} decision={decision} chosen={design} onChoose={showDesign} />
      <label className="flex flex-col gap-1">
        <span className="small-head">Order</span>
        <select
          className="select select-sm w-full"
          value={sort}
          onChange={({ target }) => sortBy(target.value as RecordSort)}
        >
          {SORTS.map(([name, label]) => (
            <option key={name} value={name}>
              {label}
            </option>
          ))}
        </select>
      </label>
      <section className="flex flex-col gap-2 max-md:hidden">
        <h2 className="small-head">Kept records, exported</h2>
        {RECORD_FORMATS.map(({ id, name, extension }) => (
          <a
            key={id}
            className="btn btn-sm btn-quiet justify-start"
            href={`/api/reviews/${review.id}/kept.${extension}`}
            download
          >
            <Download className="h-4 w-4" aria-hidden="true" /> {name}
          </a>
        ))}
      </section>
    </aside>
  );
}
