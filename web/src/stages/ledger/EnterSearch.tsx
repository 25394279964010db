import { counted, WAYS_ELSEWHERE, type WayElsewhere } from '@even-lantern/core';
import { format } from 'date-fns';
import { searchElsewhereSchema, type WaitingFile } from '@even-lantern/contract';
import { useState } from 'react';
import { toast } from 'sonner';
import { problemOf } from '../../review/api/api.js';
import { ledgerApi } from '../../review/api/ledgerApi.js';
import { Field } from '../../parts/form/Field.js';
import { useJoiForm } from '../../parts/form/useJoiForm.js';
import { ProblemNote } from '../../parts/ProblemNote.js';
import { SearchFile } from './SearchFile.js';

/** What to say of the place, by the way of searching. */
const PLACES: Readonly<Record<WayElsewhere, string>> = {
  'hand search': 'Which journal or proceedings, which volumes',
  'web page': 'Which page, with its address',
  expert: 'Who was asked',
  'citation chasing': 'From which works, backward or forward',
  'grey literature': 'Which collection or body',
  'trial register': 'Which register',
  other: 'Where',
};

const today = () => format(new Date(), 'yyyy-MM-dd');

/** Enters a search that no database answered: it becomes an entry of its own. */
export default function EnterSearch({ reviewId, onEntered }: { reviewId: string; onEntered: () => void }) {
  const [file, setFile] = useState<WaitingFile | null>(null);
  const { register, handleSubmit, setValue, getValues, watch, formState } = useJoiForm(
    searchElsewhereSchema,
    {
      way: 'hand search',
      place: '',
      string: '',
      count: null,
      searchedOn: today(),
      text: '',
      timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
      file: null,
    },
  );
  const { errors } = formState;
  const [enter, { error, isLoading }] = ledgerApi.useEnterSearchMutation();
  const submit = handleSubmit(async (body) => {
    const answer = await enter({ review: reviewId, body });
    if (answer.data === undefined) return;
    const brought = file === null ? '' : ` ${counted(file.records, 'record')} came into the review.`;
    toast(`Entered as entry ${answer.data.content.entry}.${brought}`);
    onEntered();
  });
  return (
    <form
      aria-label="A search made elsewhere"
      className="rule bg-base-200 mb-3 grid gap-3 rounded border p-3 md:grid-cols-4"
      noValidate
      onSubmit={(event) => void submit(event)}
    >
      <Field label="How">
        {() => (
          <select className="select select-sm w-full" {...register('way')}>
            {WAYS_ELSEWHERE.map((each) => (
              <option key={each}>{each}</option>
            ))}
          </select>
        )}
      </Field>
      <Field label={PLACES[watch('way')]} wide error={errors.place?.message}>
        {(attributes) => <input className="input input-sm w-full" {...attributes} {...register('place')} />}
      </Field>
      <Field label="On which day" error={errors.searchedOn?.message}>
        {(attributes) => (
          <input
            type="date"
            className="input input-sm w-full"
            max={today()}
            {...attributes}
            {...register('searchedOn')}
          />
        )}
      </Field>
      <Field label="What was searched for or asked" wide error={errors.string?.message}>
        {(attributes) => (
          <input
            className="input input-sm w-full font-mono text-xs"
            {...attributes}
            {...register('string')}
          />
        )}
      </Field>
      <Field label="How many were found" error={errors.count?.message}>
        {(attributes) => (
          <input
            type="number"
            min={0}
            step={1}
            className="input input-sm w-full"
            placeholder="not counted"
            {...attributes}
            {...register('count', {
              setValueAs: (typed: unknown) => (typed === '' || typed === null ? null : Number(typed)),
            })}
          />
        )}
      </Field>
      <Field label="Note" error={errors.text?.message}>
        {(attributes) => <input className="input input-sm w-full" {...attributes} {...register('text')} />}
      </Field>
      <div className="md:col-span-4">
        <SearchFile
          reviewId={reviewId}
          file={file}
          onRead={(read) => {
            setFile(read);
            setValue('file', read?.id ?? null);
            // Whoever counted something else has said so before.
            if (read !== null && getValues('count') === null) setValue('count', read.records);
          }}
        />
      </div>
      <div className="flex flex-wrap items-center gap-3 md:col-span-4">
        <button className="btn btn-sm btn-primary" disabled={isLoading}>
          Enter it
        </button>
        <span className="quiet">Nobody can change an entry; correct a mistake with another entry.</span>
        {error !== undefined && <ProblemNote problem={problemOf(error)} />}
      </div>
    </form>
  );
}
