import type { LimitWay, ValuesChosen } from '@even-lantern/core';
import type { DatabaseProfile } from '@even-lantern/contract';
import { useState } from 'react';
import { ChoiceMenu } from '../../../parts/ChoiceMenu.js';
import { FilterFigures } from './FilterFigures.js';

const TOGETHER = 'together';

const ANY_OF_THEM = 'Any of them';

/** The figures of one of the designs that were chosen; the others on request. */
export function Measured({
  database,
  values: { values, strength = 'balanced', words },
  way,
}: {
  database: DatabaseProfile;
  values: ValuesChosen;
  way: LimitWay;
}) {
  const [shown, setShown] = useState<string | null>(null);
  const one = shown !== null && values.includes(shown) ? shown : values[0];
  if (one === undefined) return null;
  // Words of one’s own are for all designs together; filters have figures for each.
  const together = words !== undefined && values.length > 1 && (shown === null || shown === TOGETHER);
  return (
    <div className="flex flex-col gap-1">
      {values.length > 1 && (
        <ChoiceMenu
          label="Design whose figures are shown"
          text={together ? ANY_OF_THEM : one}
          className="btn-xs self-start"
          choices={[
            ...(words === undefined ? [] : [{ id: TOGETHER, name: ANY_OF_THEM }]),
            ...values.map((value) => ({ id: value, name: value })),
          ]}
          chosen={together ? TOGETHER : one}
          onChoose={setShown}
        />
      )}
      <FilterFigures
        database={database}
        designs={together ? values : [one]}
        words={words}
        chosen={way === 'own' ? 'own limit' : words === undefined ? strength : 'own words'}
      />
    </div>
  );
}
