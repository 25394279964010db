import { DIALECT_KINDS, formatCount } from '@even-lantern/core';
import {
  newDatabaseSchema,
  type ExploredServer,
  type NewDatabase,
  type NewHandDatabase,
  type NewSruDatabase,
} from '@even-lantern/contract';
import type { ObjectSchema } from 'joi';
import { CircleCheck, TriangleAlert } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import type { DefaultValues, Path, PathValue } from 'react-hook-form';
import { problemOf } from '../../review/api/api.js';
import { vocabularyApi } from '../../review/api/vocabularyApi.js';
import { Field } from '../../parts/form/Field.js';
import { useJoiForm } from '../../parts/form/useJoiForm.js';
import { ProblemNote } from '../../parts/ProblemNote.js';
import { CallBudgetFields } from './CallBudgetFields.js';
import { DescribeDialect } from './DescribeDialect.js';
import { MatchLimits } from './MatchLimits.js';

/** What is done with a description of a database, and what the button for it says. */
export interface Saving {
  say: (name: string) => string;
  save: (database: NewDatabase) => Promise<unknown>;
}

interface ServerFormProps {
  /** what the server tells of itself */
  found: Pick<ExploredServer, 'indexes' | 'recordSchemas'> & { test: ExploredServer['test'] | null };
  initial: NewSruDatabase;
  saving: Saving;
}

/** What was found of an SRU server, as a proposal, or what was said of it before. */
export function ServerForm({ found: { indexes, recordSchemas, test }, initial, saving }: ServerFormProps) {
  const form = useDatabaseForm(initial);
  const { watch, register, change } = form;
  const { recordSchema, version, vocabulary, dialect, limits, budget } = watch();
  const readable = recordSchemas.find((each) => each.name === recordSchema)?.readable ?? true;
  const chooseVocabulary = (chosen: string | null) => {
    const { heading, headings } = dialect.names;
    const index = chosen === null ? null : (heading ?? headings ?? null);
    change({ vocabulary: chosen, dialect: { ...dialect, names: { ...dialect.names, heading: index } } });
  };
  return (
    <SavingForm form={form} saving={saving}>
      {test !== null && <FirstSearch test={test} />}
      <div className="grid gap-3 md:grid-cols-2">
        <NameField form={form} />
        <VocabularyField vocabulary={vocabulary} onChange={chooseVocabulary} />
        <Field label="Records come as">
          {() => (
            <select className="select select-sm w-full" {...register('recordSchema')}>
              {recordSchemas.map((schema) => (
                <option key={schema.name} value={schema.name}>
                  {schema.title}
                  {schema.readable ? '' : ' (cannot be read here)'}
                </option>
              ))}
              {recordSchemas.every((schema) => schema.name !== recordSchema) && (
                <option value={recordSchema}>{recordSchema === 'mods' ? 'MODS' : recordSchema}</option>
              )}
            </select>
          )}
        </Field>
        <p className="flex flex-col gap-1">
          <span className="small-head">SRU version</span>
          <span className="py-1">{version}</span>
        </p>
      </div>
      {!readable && (
        <p className="problem">Records of this kind cannot be read here: choose MODS or Dublin Core.</p>
      )}
      <DescribeDialect
        dialect={dialect}
        indexes={indexes}
        hasVocabulary={vocabulary !== null}
        onChange={(changed) => change({ dialect: changed })}
      />
      <MatchLimits
        limits={limits ?? []}
        indexes={indexes}
        onChange={(changed) => change({ limits: changed })}
      />
      {budget !== undefined && (
        <section aria-label="How much it may be asked" className="flex flex-col gap-2">
          <CallBudgetFields budget={budget} onChange={(changed) => change({ budget: changed })} />
          <p className="quiet text-sm">
            Each count of a line is one call. Ask whoever runs the server how many are welcome; the proposal
            is cautious.
          </p>
        </section>
      )}
    </SavingForm>
  );
}

function FirstSearch({ test: { query, hits, error, record } }: Pick<ExploredServer, 'test'>) {
  if (hits === null) {
    return (
      <p className="problem flex gap-2">
        <TriangleAlert className="mt-0.5 h-4 w-4 shrink-0" aria-label="Trouble" />
        <span>
          A first search, <code className="font-mono">{query}</code>, was refused: {error} Look at which index
          words are searched in.
        </span>
      </p>
    );
  }
  return (
    <p className="flex gap-2">
      <CircleCheck className="text-success mt-0.5 h-4 w-4 shrink-0" aria-hidden="true" />
      <span>
        A first search, <code className="font-mono">{query}</code>, found <b>{formatCount(hits)}</b>{' '}
        {hits === 1 ? 'record' : 'records'}
        {record === null ? '.' : <>; the first is “{record.title}”.</>}
      </span>
    </p>
  );
}

interface HandFormProps {
  initial: NewHandDatabase;
  saving: Saving;
}

export function HandForm({ initial, saving }: HandFormProps) {
  const form = useDatabaseForm(initial);
  const { watch, register, change, formState } = form;
  const { vocabulary, dialect, limits } = watch();
  return (
    <SavingForm form={form} saving={saving}>
      <div className="grid gap-3 md:grid-cols-2">
        <NameField form={form} />
        <Field
          label="Its release, as its own pages give it (optional)"
          error={formState.errors.release?.message}
        >
          {(attributes) => (
            <input
              className="input input-sm w-full"
              placeholder="such as November 2026"
              {...attributes}
              {...register('release')}
            />
          )}
        </Field>
        <Field label="The syntax nearest to its own">
          {() => (
            <select
              className="select select-sm w-full"
              value={dialect.kind}
              onChange={({ target }) => change({ dialect: { kind: target.value, names: {}, lacks: [] } })}
            >
              {DIALECT_KINDS.filter(({ id }) => id !== 'cql').map(({ id, form: syntax, precedence }) => (
                <option key={id} value={id}>
                  {syntax}: {precedence}
                </option>
              ))}
            </select>
          )}
        </Field>
        <VocabularyField vocabulary={vocabulary} onChange={(chosen) => change({ vocabulary: chosen })} />
      </div>
      <DescribeDialect
        dialect={dialect}
        indexes={null}
        hasVocabulary={vocabulary !== null}
        onChange={(changed) => change({ dialect: changed })}
      />
      <MatchLimits limits={limits ?? []} indexes={null} onChange={(changed) => change({ limits: changed })} />
    </SavingForm>
  );
}

/** What is said of a database, checked as the server checks it. */
function useDatabaseForm<Database extends NewDatabase>(initial: Database) {
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

type DatabaseForm<Database extends NewDatabase> = ReturnType<typeof useDatabaseForm<Database>>;

interface VocabularyFieldProps {
  vocabulary: string | null;
  onChange: (vocabulary: string | null) => void;
}

function VocabularyField({ vocabulary, onChange }: VocabularyFieldProps) {
  const { data: vocabularies = [] } = vocabularyApi.useVocabulariesQuery();
  return (
    <label className="flex flex-col gap-1">
      <span className="small-head">Its headings are of</span>
      <select
        className="select select-sm w-full"
        value={vocabulary ?? ''}
        onChange={({ target }) => onChange(target.value === '' ? null : target.value)}
      >
        <option value="">a vocabulary unknown here: headings become words</option>
        {vocabularies.map((each) => (
          <option key={each.id} value={each.id}>
            {each.name}
          </option>
        ))}
        {vocabulary !== null && vocabularies.every(({ id }) => id !== vocabulary) && (
          <option value={vocabulary}>{vocabulary}, which is not there now</option>
        )}
      </select>
    </label>
  );
}

function NameField<Database extends NewDatabase>({ form }: { form: DatabaseForm<Database> }) {
  const { register, formState } = form;
  const error = formState.errors.name?.message;
  return (
    <Field label="Name" error={typeof error === 'string' ? error : undefined}>
      {(attributes) => (
        <input className="input input-sm w-full" {...attributes} {...register('name' as Path<Database>)} />
      )}
    </Field>
  );
}

interface SavingFormProps<Database extends NewDatabase> {
  form: DatabaseForm<Database>;
  saving: Saving;
  children: ReactNode;
}

function SavingForm<Database extends NewDatabase>({
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
  const within = Object.entries(formState.errors).filter(([part]) => part !== 'name' && part !== 'release');
  return (
    <form
      className="rule flex flex-col gap-4 border-t pt-4"
      noValidate
      onSubmit={(event) => void submit(event)}
    >
      {children}
      {within.map(([part, wrong]) => (
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
