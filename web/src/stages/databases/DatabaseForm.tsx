import { DIALECT_KINDS, formatCount } from '@even-lantern/core';
import type { ExploredServer, NewDatabase, NewHandDatabase, NewSruDatabase } from '@even-lantern/contract';
import { CircleCheck, TriangleAlert } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { problemOf } from '../../review/api/api.js';
import { vocabularyApi } from '../../review/api/vocabularyApi.js';
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
  const [database, setDatabase] = useState(initial);
  const { name, recordSchema, version, vocabulary, dialect } = database;
  const change = (part: Partial<NewSruDatabase>) => setDatabase({ ...database, ...part });
  const readable = recordSchemas.find((each) => each.name === recordSchema)?.readable ?? true;
  const chooseVocabulary = (chosen: string | null) => {
    const { heading, headings } = dialect.names;
    const index = chosen === null ? null : (heading ?? headings ?? null);
    change({ vocabulary: chosen, dialect: { ...dialect, names: { ...dialect.names, heading: index } } });
  };
  return (
    <SavingForm database={database} saving={saving}>
      {test !== null && <FirstSearch test={test} />}
      <div className="grid gap-3 md:grid-cols-2">
        <NameField name={name} onChange={(changed) => change({ name: changed })} />
        <VocabularyField vocabulary={vocabulary} onChange={chooseVocabulary} />
        <label className="flex flex-col gap-1">
          <span className="small-head">Records come as</span>
          <select
            className="select select-sm w-full"
            value={recordSchema}
            onChange={({ target }) => change({ recordSchema: target.value })}
          >
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
        </label>
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
        limits={database.limits ?? []}
        indexes={indexes}
        onChange={(limits) => change({ limits })}
      />
      {database.budget !== undefined && (
        <section aria-label="How much it may be asked" className="flex flex-col gap-2">
          <CallBudgetFields budget={database.budget} onChange={(budget) => change({ budget })} />
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
  const [database, setDatabase] = useState(initial);
  const { name, release, vocabulary, dialect } = database;
  const change = (part: Partial<NewHandDatabase>) => setDatabase({ ...database, ...part });
  return (
    <SavingForm database={database} saving={saving}>
      <div className="grid gap-3 md:grid-cols-2">
        <NameField name={name} onChange={(changed) => change({ name: changed })} />
        <label className="flex flex-col gap-1">
          <span className="small-head">Its release, as its own pages give it (optional)</span>
          <input
            className="input input-sm w-full"
            value={release}
            placeholder="such as November 2026"
            maxLength={80}
            onChange={({ target }) => change({ release: target.value })}
          />
        </label>
        <label className="flex flex-col gap-1">
          <span className="small-head">The syntax nearest to its own</span>
          <select
            className="select select-sm w-full"
            value={dialect.kind}
            onChange={({ target }) => change({ dialect: { kind: target.value, names: {}, lacks: [] } })}
          >
            {DIALECT_KINDS.filter(({ id }) => id !== 'cql').map(({ id, form, precedence }) => (
              <option key={id} value={id}>
                {form}: {precedence}
              </option>
            ))}
          </select>
        </label>
        <VocabularyField vocabulary={vocabulary} onChange={(chosen) => change({ vocabulary: chosen })} />
      </div>
      <DescribeDialect
        dialect={dialect}
        indexes={null}
        hasVocabulary={vocabulary !== null}
        onChange={(changed) => change({ dialect: changed })}
      />
      <MatchLimits limits={database.limits ?? []} indexes={null} onChange={(limits) => change({ limits })} />
    </SavingForm>
  );
}

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

function NameField({ name, onChange }: { name: string; onChange: (name: string) => void }) {
  return (
    <label className="flex flex-col gap-1">
      <span className="small-head">Name</span>
      <input
        className="input input-sm w-full"
        value={name}
        maxLength={120}
        onChange={({ target }) => onChange(target.value)}
      />
    </label>
  );
}

interface SavingFormProps {
  database: NewDatabase;
  saving: Saving;
  children: ReactNode;
}

function SavingForm({ database, saving: { say, save }, children }: SavingFormProps) {
  const [error, setError] = useState<unknown>(null);
  const [busy, setBusy] = useState(false);
  return (
    <form
      className="rule flex flex-col gap-4 border-t pt-4"
      onSubmit={(event) => {
        event.preventDefault();
        setBusy(true);
        setError(null);
        save(database).catch((failure: unknown) => {
          setError(failure);
          setBusy(false);
        });
      }}
    >
      {children}
      {error !== null && <ProblemNote problem={problemOf(error)} />}
      <div>
        <button className="btn btn-sm btn-primary" disabled={busy || database.name.trim() === ''}>
          {say(database.name.trim())}
        </button>
      </div>
    </form>
  );
}
