import { newDatabaseSchema, type NewDatabase } from '@even-lantern/contract';
import type { ObjectSchema } from 'joi';
import { useState, type ReactNode } from 'react';
import type { DefaultValues, Path, PathValue } from 'react-hook-form';
import { problemOf } from '../../review/api/api.js';
import { useJoiForm } from '../../parts/form/useJoiForm.js';
import { ProblemNote } from '../../parts/ProblemNote.js';

/** What is done with a description of a database, and what the button for it says. */
export interface Saving {
  say: (name: string) => string;
  save: (database: NewDatabase) => Promise<unknown>;
}

/** What is said of a database, checked as the server checks it. */
export function useDatabaseForm<Database extends NewDatabase>(initial: Database) {
  // The schema is of both kinds; which one it is stands in the values themselves.
  const form = useJoiForm(
    newDatabaseSchema as unknown as ObjectSchema<Database>,
    initial as DefaultValues<Database>,
  );
  return {
    ...form,
    change(part: Partial<Database>) {
      for (const [name, value] of Object.entries(part)) {
        form.setValue(name as Path<Database>, value as PathValue<Database, Path<Database>>, {
          shouldValidate: form.formState.isSubmitted,
        });
      }
    },
  };
}

export type DatabaseForm<Database extends NewDatabase> = ReturnType<typeof useDatabaseForm<Database>>;

interface SavingFormProps<Database extends NewDatabase> {
  form: DatabaseForm<Database>;
  saving: Saving;
  children: ReactNode;
}

export function SavingForm<Database extends NewDatabase>({
  form,
  saving: { say, save },
  children,
}: SavingFormProps<Database>) {
  const [error, setError] = useState<unknown>(null);
  const [busy, setBusy] = useState(false);
  const { handleSubmit, watch, formState } = form;
  const name = String(watch('name' as Path<Database>));
  const submit = handleSubmit(async (database) => {
    setBusy(true);
    setError(null);
    try {
      await save(database);
    } catch (failure) {
      setError(failure);
      setBusy(false);
    }
  });
  // What stands deep within is told here; names and numbers tell theirs beside them.
  const invalid = Object.entries(formState.errors).filter(([part]) => part !== 'name' && part !== 'release');
  return (
    <form
      className="rule flex flex-col gap-4 border-t pt-4"
      noValidate
      onSubmit={(event) => void submit(event)}
    >
      {children}
      {invalid.map(([part, wrong]) => (
        <p key={part} role="alert" className="problem">
          {firstMessage(wrong)}
        </p>
      ))}
      {error !== null && <ProblemNote problem={problemOf(error)} />}
      <div>
        <button className="btn btn-sm btn-primary" disabled={busy || name.trim() === ''}>
          {say(name.trim())}
        </button>
      </div>
    </form>
  );
}

/** The first thing that is wrong within a part, however deep it stands. */
function firstMessage(wrong: unknown): string {
  if (typeof wrong !== 'object' || wrong === null) return '';
  if ('message' in wrong && typeof wrong.message === 'string') return wrong.message;
  return (
    Object.values(wrong)
      .map(firstMessage)
      .find((each) => each !== '') ?? ''
  );
}
