import { formatCount } from '@even-lantern/core';
import type { Decision } from '@even-lantern/contract';
import { GuideLink } from '../../parts/GuideLink.js';
import type { RecordDesigns } from './useRecordDesigns.js';

const ANY = 'any';
/** Records of which nothing tells any design. */
const UNTOLD = '';

/** Narrows the list to a study design, as it is likely or was judged, with how many records there are of each. */
export function NarrowByDesign({
  designs,
  decision,
  chosen,
  onChoose,
}: {
  designs: RecordDesigns;
  decision: Decision | 'any';
  /** null for all of them */
  chosen: string | null;
  onChoose: (design: string | null) => void;
}) {
  const { counts } = designs;
  return (
    <section className="flex flex-col gap-1">
      <h2 className="small-head">
        Study design{' '}
        <GuideLink
          to="records#study-design"
          label="Why: how the program works out the design of a record, in the guide"
        >
          why
        </GuideLink>
      </h2>
      {counts === null || counts.pending > 0 ? (
        <p className="quiet text-xs" role="status">
          {counts?.trouble ??
            (counts === null ? 'Asking …' : `Told from their words, ${formatCount(counts.pending)} to go …`)}
        </p>
      ) : (
        <select
          className="select select-sm w-full overflow-hidden text-ellipsis"
          aria-label="Narrow to a study design"
          value={chosen === null ? ANY : idOf(chosen)}
          onChange={({ target: { value } }) =>
            onChoose(value === ANY ? null : value === idOf(UNTOLD) ? UNTOLD : value)
          }
        >
          <option value={ANY}>any</option>
          {groupsOf(designs, decision, chosen).map(({ group, options }) => (
            <optgroup key={group} label={group}>
              {options.map(({ design, number }) => (
                <option key={design} value={idOf(design)}>
                  {nameOf(design)}, {formatCount(number)}
                </option>
              ))}
            </optgroup>
          ))}
        </select>
      )}
    </section>
  );
}

/** Designs that no record has are left out, unless one is chosen. */
function groupsOf(designs: RecordDesigns, decision: Decision | 'any', chosen: string | null) {
  const groups = [...designs.groups, { group: 'Not told', designs: [UNTOLD] }];
  return groups
    .map(({ group, designs: each }) => ({
      group,
      options: each
        .map((design) => ({ design, number: designs.numberOf(design, decision) ?? 0 }))
        .filter(({ design, number }) => number > 0 || design === chosen),
    }))
    .filter(({ options }) => options.length > 0);
}

function idOf(design: string): string {
  return design === UNTOLD ? 'untold' : design;
}

function nameOf(design: string): string {
  return design === UNTOLD ? 'design not clear' : design;
}
