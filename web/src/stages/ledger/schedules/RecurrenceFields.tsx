import { EVERY, LAST_DAY, type Recurrence } from '@even-lantern/contract';
import { WEEKDAYS } from './recurrenceWords.js';

const NAMES: Readonly<Record<Recurrence['every'], string>> = {
  day: 'every day',
  week: 'every week',
  month: 'every month',
};
const SURE_DAYS = Array.from({ length: 28 }, (_, i) => i + 1);

/** How often, on which day, and when. */
export function RecurrenceFields({
  value,
  onChange,
}: {
  value: Recurrence;
  onChange: (value: Recurrence) => void;
}) {
  const { every, weekday, day, time, timeZone } = value;
  return (
    <div className="flex flex-wrap items-end gap-3">
      <label className="flex flex-col gap-1">
        <span className="small-head">How often</span>
        <select
          className="select select-sm w-auto"
          value={every}
          onChange={({ target }) => onChange({ ...value, every: target.value as Recurrence['every'] })}
        >
          {EVERY.map((each) => (
            <option key={each} value={each}>
              {NAMES[each]}
            </option>
          ))}
        </select>
      </label>
      {every === 'week' && (
        <label className="flex flex-col gap-1">
          <span className="small-head">On</span>
          <select
            className="select select-sm w-auto"
            value={weekday}
            onChange={({ target }) => onChange({ ...value, weekday: Number(target.value) })}
          >
            {WEEKDAYS.map((name, i) => (
              <option key={name} value={i + 1}>
                {name}
              </option>
            ))}
          </select>
        </label>
      )}
      {every === 'month' && (
        <label className="flex flex-col gap-1">
          <span className="small-head">On day</span>
          <select
            className="select select-sm w-auto"
            value={day}
            onChange={({ target }) => onChange({ ...value, day: Number(target.value) })}
          >
            {SURE_DAYS.map((each) => (
              <option key={each} value={each}>
                {each}
              </option>
            ))}
            <option value={LAST_DAY}>the last</option>
          </select>
        </label>
      )}
      <label className="flex flex-col gap-1">
        <span className="small-head">At ({timeZone})</span>
        <input
          type="time"
          className="input input-sm w-36"
          value={time}
          required
          onChange={({ target }) => onChange({ ...value, time: target.value })}
        />
      </label>
    </div>
  );
}
