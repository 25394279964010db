import type { RunContent } from '@even-lantern/core';
import { newScheduleSchema } from '@even-lantern/contract';
import { CalendarClock } from 'lucide-react';
import { useState } from 'react';
import { toast } from 'sonner';
import { problemOf } from '../../../review/api/api.js';
import { ledgerApi } from '../../../review/api/ledgerApi.js';
import { scheduleApi } from '../../../review/api/scheduleApi.js';
import { useReview } from '../../../review/useReview.js';
import { useJoiForm } from '../../../parts/form/useJoiForm.js';
import { ProblemNote } from '../../../parts/ProblemNote.js';
import { RecurrenceFields } from './RecurrenceFields.js';
import { recurrenceInWords, usualRecurrence } from './recurrenceWords.js';

/** Has an entry run again by itself, with the others that were run by the same action where that is wanted. */
export function RunOnSchedule({ content }: { content: RunContent }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button className="btn btn-sm btn-quiet" aria-expanded={open} onClick={() => setOpen(!open)}>
        <CalendarClock className="h-4 w-4" aria-hidden="true" /> Run on a schedule
      </button>
      {open && <Form content={content} onSet={() => setOpen(false)} />}
    </>
  );
}

function Form({ content, onSet }: { content: RunContent; onSet: () => void }) {
  const { review } = useReview();
  const form = useJoiForm(newScheduleSchema, { ...usualRecurrence(), entries: [content.entry] });
  const entries = form.watch('entries');
  const [add, { error, isLoading }] = scheduleApi.useAddScheduleMutation();
  const { data } = ledgerApi.useLedgerEntriesInfiniteQuery({
    review: review.id,
    kind: 'run',
    outcome: 'complete',
  });
  // The latest run of each other database may come along.
  const others = (data?.pages[0]?.entries ?? []).filter(
    (each, i, all) =>
      each.database !== content.database && all.findIndex(({ database }) => database === each.database) === i,
  );
  const submit = form.handleSubmit(async (body) => {
    const answer = await add({ review: review.id, body });
    if (answer.data === undefined) return;
    toast(`Runs ${recurrenceInWords(body)}. You find new records in the ledger.`);
    onSet();
  });
  const together = (entry: number, checked: boolean) => {
    form.setValue('entries', checked ? [...entries, entry] : entries.filter((each) => each !== entry));
  };
  return (
    <form
      aria-label="Run on a schedule"
      className="rule bg-base-200 order-last flex w-full flex-col gap-3 rounded border p-3"
      noValidate
      onSubmit={(event) => void submit(event)}
    >
      <p>
        Repeats this entry against the release of the day, even while nobody has the page open. You find new
        records here, in a feed, and in a draft mail.
      </p>
      <RecurrenceFields form={form} />
      {others.length > 0 && (
        <fieldset className="flex flex-col gap-1">
          <legend className="small-head">Together with the latest runs in</legend>
          {others.map(({ entry, title }) => (
            <label key={entry} className="flex cursor-pointer items-baseline gap-2">
              <input
                type="checkbox"
                className="checkbox checkbox-xs"
                checked={entries.includes(entry)}
                onChange={({ target }) => together(entry, target.checked)}
              />
              <span>
                {title} <span className="quiet">entry {entry}</span>
              </span>
            </label>
          ))}
        </fieldset>
      )}
      <div className="flex items-center gap-3">
        <button className="btn btn-sm btn-primary" disabled={isLoading}>
          Set the schedule
        </button>
        {error !== undefined && <ProblemNote problem={problemOf(error)} />}
      </div>
    </form>
  );
}
