import { OWN_LINE_ROLES, type OwnLineRole } from '@even-lantern/core';
import type { ReviewOwnLine } from '@even-lantern/contract';
import { useOwnLineEdits } from '../../../review/useOwnLineEdits.js';
import { Radio } from '../../../parts/Radio.js';

const ROLES: Readonly<Record<OwnLineRole, [name: string, about: string]>> = {
  looks: ['Only looks', 'it is counted, and no more'],
  narrows: ['Narrows', 'only what it finds stays'],
  adds: ['Adds', 'what it finds comes to the whole'],
  leavesOut: ['Leaves out', 'what it finds goes'],
};

/** What a line of one’s own does to the whole. */
export function RoleChoice({ own }: { own: ReviewOwnLine }) {
  const edits = useOwnLineEdits();
  return (
    <fieldset className="grid grid-cols-2 gap-x-3 gap-y-1">
      <legend className="small-head pb-1">What it does to the whole</legend>
      {OWN_LINE_ROLES.map((role) => (
        <Radio
          key={role}
          className="items-start text-sm leading-tight"
          name={`role of ${own.id}`}
          checked={own.role === role}
          onChoose={() => void edits.change(own, { role })}
        >
          <span>
            {ROLES[role][0]}
            <span className="quiet block text-xs">{ROLES[role][1]}</span>
          </span>
        </Radio>
      ))}
    </fieldset>
  );
}
