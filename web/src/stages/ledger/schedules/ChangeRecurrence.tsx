import { recurrenceSchema, type Recurrence, type Schedule } from '@even-lantern/contract';
import { useJoiForm } from '../../../parts/form/useJoiForm.js';
import { RecurrenceFields } from './RecurrenceFields.js';

interface ChangeRecurrenceProps {
  schedule: Schedule;
  onChange: (value: Recurrence) => void;
}

/** Other times for a schedule that there is. */
export function ChangeRecurrence({ schedule, onChange }: ChangeRecurrenceProps) {
  const { every, weekday, day, time, timeZone } = schedule;
  const form = useJoiForm(recurrenceSchema, { every, weekday, day, time, timeZone });
  return (
    <form
      aria-label="Change the schedule"
      className="flex flex-wrap items-end gap-3"
      noValidate
      onSubmit={(event) => void form.handleSubmit(onChange)(event)}
    >
      <RecurrenceFields form={form} />
      <button className="btn btn-sm btn-primary">Change it</button>
    </form>
  );
}
