import { describeTerm, type ArrangedLane, type ElementKey } from '@even-lantern/core';

/** What a person makes of a lane that was found in a pasted strategy. */
export interface LaneChoice {
  taken: boolean;
  name: string;
  /** the element that it is part of; null for a further concept */
  element: ElementKey | null;
}

interface LaneProps {
  lane: ArrangedLane;
  choice: LaneChoice;
  elements: readonly { id: string; key: ElementKey; name: string }[];
  onChange: (choice: LaneChoice) => void;
}

export function Lane({ lane: { terms, leftOut, lines }, choice, elements, onChange }: LaneProps) {
  const { taken, name, element } = choice;
  return (
    <section
      aria-label={`Lane: ${name}`}
      className={`rule flex flex-col gap-1 border-b pb-2 ${taken ? '' : 'quiet'}`}
    >
      <div className="flex flex-wrap items-center gap-2">
        <input
          type="checkbox"
          className="checkbox checkbox-xs"
          aria-label={`Take the lane ${name}`}
          checked={taken}
          onChange={({ target }) => onChange({ ...choice, taken: target.checked })}
        />
        <input
          className="input input-sm min-w-0 flex-1 font-bold"
          aria-label="Name of the lane"
          maxLength={300}
          value={name}
          disabled={!taken}
          onChange={({ target }) => onChange({ ...choice, name: target.value })}
        />
        <select
          className="select select-sm w-44"
          aria-label={`What ${name} is part of`}
          value={element ?? ''}
          disabled={!taken}
          onChange={({ target }) =>
            onChange({ ...choice, element: target.value === '' ? null : (target.value as ElementKey) })
          }
        >
          <option value="">A further concept</option>
          {elements.map((each) => (
            <option key={each.id} value={each.key}>
              {each.key}: {each.name}
            </option>
          ))}
        </select>
      </div>
      <p className="text-sm">
        {leftOut && <b>left out: </b>}
        {terms.map((term) => describeTerm(term).text).join(', ')}
      </p>
      <p className="quiet text-xs">from line {lines.join(', ')}</p>
    </section>
  );
}
