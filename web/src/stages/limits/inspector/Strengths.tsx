import {
  DESIGN_FILTERS,
  STRENGTH_NAMES,
  STRENGTHS,
  type LimitValues,
  type ValuesChosen,
} from '@even-lantern/core';
import { Radio } from '../../../parts/Radio.js';

/** How the words are set: to miss hardly any, to bring hardly any others, or in between. */
export function Strengths({
  values,
  onChange,
}: {
  values: ValuesChosen;
  onChange: (values: LimitValues) => void;
}) {
  const { strength = 'balanced' } = values;
  return (
    <fieldset>
      <legend className="small-head pb-1">The filter is set so that it</legend>
      <div className="flex flex-wrap gap-x-4 gap-y-1">
        {STRENGTHS.map((each) => (
          <Radio
            key={each}
            name="limit-strength"
            checked={strength === each}
            onChoose={() => onChange({ ...values, strength: each })}
          >
            {STRENGTH_NAMES[each]}
          </Radio>
        ))}
      </div>
      <p className="quiet text-xs">
        {values.values.map((value) => sourceOf(value)).find((each) => each !== null) ?? ''}
      </p>
    </fieldset>
  );
}

function sourceOf(design: string): string | null {
  const filter = DESIGN_FILTERS.find((each) => each.design === design);
  return filter === undefined ? null : `Filter by ${filter.source}, ${filter.date}`;
}
