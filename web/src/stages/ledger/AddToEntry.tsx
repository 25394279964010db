import { ledgerCorrectionSchema, ledgerNoteSchema } from '@even-lantern/contract';
import { Field } from '../../parts/form/Field.js';
import { useJoiForm } from '../../parts/form/useJoiForm.js';
import { ProblemNote } from '../../parts/ProblemNote.js';
import { problemOf } from '../../review/api/api.js';
import { ledgerApi } from '../../review/api/ledgerApi.js';
import { useReview } from '../../review/useReview.js';

interface AddToEntryProps {
  /** the number of the entry that it is about */
  entry: number;
  onAdded: () => void;
}

const timeZone = () => Intl.DateTimeFormat().resolvedOptions().timeZone;

/** A note on an entry, which becomes an entry of its own. */
export function AddNote({ entry, onAdded }: AddToEntryProps) {
  const { review } = useReview();
  const [add, { error, isLoading }] = ledgerApi.useNoteEntryMutation();
  const { register, handleSubmit, formState } = useJoiForm(ledgerNoteSchema, {
    about: entry,
    text: '',
    timeZone: timeZone(),
  });
  const submit = handleSubmit(async (body) => {
    if ((await add({ review: review.id, body })).data !== undefined) onAdded();
  });
  return (
    <form className="flex flex-col gap-2" noValidate onSubmit={(event) => void submit(event)}>
      <Field label="Note" error={formState.errors.text?.message}>
        {(attributes) => (
          <textarea
            className="textarea w-full text-sm"
            rows={2}
            autoFocus
            {...attributes}
            {...register('text')}
          />
        )}
      </Field>
      <button className="btn btn-sm btn-primary self-start" disabled={isLoading}>
        Add the note
      </button>
      {error !== undefined && <ProblemNote problem={problemOf(error)} />}
    </form>
  );
}

/** A correction of an entry, which becomes an entry of its own; the one that is wrong stays as it is. */
export function CorrectEntry({ entry, onAdded }: AddToEntryProps) {
  const { review } = useReview();
  const [correct, { error, isLoading }] = ledgerApi.useCorrectEntryMutation();
  const { register, handleSubmit, formState } = useJoiForm(ledgerCorrectionSchema, {
    about: entry,
    what: '',
    was: '',
    is: '',
    text: '',
    timeZone: timeZone(),
  });
  const submit = handleSubmit(async (body) => {
    if ((await correct({ review: review.id, body })).data !== undefined) onAdded();
  });
  const field = (name: 'what' | 'was' | 'is' | 'text', label: string, autoFocus = false) => (
    <Field label={label} error={formState.errors[name]?.message}>
      {(attributes) => (
        <input className="input input-sm w-full" autoFocus={autoFocus} {...attributes} {...register(name)} />
      )}
    </Field>
  );
  return (
    <form className="flex flex-col gap-2" noValidate onSubmit={(event) => void submit(event)}>
      <div className="grid gap-3 md:grid-cols-4">
        {field('what', 'What, such as “count”', true)}
        {field('was', 'What it says')}
        {field('is', 'What is right')}
        {field('text', 'How it came about')}
      </div>
      <button className="btn btn-sm btn-primary self-start" disabled={isLoading}>
        Add the correction
      </button>
      {error !== undefined && <ProblemNote problem={problemOf(error)} />}
    </form>
  );
}
