import { EVERY, LAST_DAY, type Recurrence } from '@even-lantern/contract';
import type { UseFormReturn } from 'react-hook-form';
import { Field } from '../../../parts/form/Field.js';
import { WEEKDAYS } from './recurrenceWords.js';

const NAMES: Readonly<Record<Recurrence['every'], string>> = {
  day: 'every day',
  week: 'every week',
  month: 'every month',
};
const SURE_DAYS = Array.from({ length: 28 }, (_, i) => i + 1);

interface RecurrenceFieldsProps<Values extends Recurrence> {
  form: UseFormReturn<Values>;
}

/** How often, on which day, and when. */
export function RecurrenceFields<Values extends Recurrence>({ form }: RecurrenceFieldsProps<Values>) {
  // Every form that holds a recurrence has its fields under their own names.
  const { register, watch, formState } = form as unknown as UseFormReturn<Recurrence>;
  const { every, timeZone } = watch();
  const asNumber = { setValueAs: Number };
  return (
    <div className="flex flex-wrap items-end gap-3">
      <Field label="How often">
        {() => (
          <select className="select select-sm w-auto" {...register('every')}>
            {EVERY.map((each) => (
              <option key={each} value={each}>
                {NAMES[each]}
              </option>
            ))}
          </select>
        )}
      </Field>
      {every === 'week' && (
        <Field label="On">
          {() => (
            <select className="select select-sm w-auto" {...register('weekday', asNumber)}>
              {WEEKDAYS.map((name, i) => (
                <option key={name} value={i + 1}>
                  {name}
                </option>
              ))}
            </select>
          )}
        </Field>
      )}
      {every === 'month' && (
        <Field label="On day">
          {() => (
            <select className="select select-sm w-auto" {...register('day', asNumber)}>
              {SURE_DAYS.map((each) => (
                <option key={each} value={each}>
                  {each}
                </option>
              ))}
              <option value={LAST_DAY}>the last</option>
            </select>
          )}
        </Field>
      )}
      <Field label={`At (${timeZone})`} error={formState.errors.time?.message}>
        {(attributes) => (
          <input type="time" className="input input-sm w-36" {...attributes} {...register('time')} />
        )}
      </Field>
    </div>
  );
}
