import { wayText, type LimitWay } from '@even-lantern/core';
import type { LimitProfile } from '@even-lantern/contract';
import { Radio } from '../../../parts/Radio.js';

export function Ways({
  name,
  step,
  way,
  onChoose,
}: {
  name: string;
  step: LimitProfile['steps'][number] | undefined;
  way: LimitWay;
  onChoose: (way: LimitWay) => void;
}) {
  if (step === undefined) return null;
  return (
    <fieldset>
      <legend className="small-head pb-1">How it is applied in {name}</legend>
      {step.ways.length === 0 ? (
        <p className="text-sm">{step.unavailable}</p>
      ) : (
        <>
          <div className="flex flex-wrap gap-x-4 gap-y-1">
            {[...step.ways, 'none' as const].map((each) => (
              <Radio key={each} name="limit-way" checked={way === each} onChoose={() => onChoose(each)}>
                {each === 'none' ? 'not here' : wayText(each)}
              </Radio>
            ))}
          </div>
          {step.unavailable !== null && <p className="text-sm">{step.unavailable}</p>}
        </>
      )}
      {step.changes.map((change) => (
        <p key={change} className="text-warning text-xs first-letter:uppercase">
          {change}
        </p>
      ))}
    </fieldset>
  );
}
