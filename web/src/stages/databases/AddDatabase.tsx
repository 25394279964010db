import { DIALECT_KINDS, type DialectDescription } from '@even-lantern/core';
import type { ExploredServer, NewDatabase } from '@even-lantern/contract';
import { CircleCheck, TriangleAlert } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { toast } from 'sonner';
import { api, problemOf } from '../../app/api.js';
import { formatCount } from '../../parts/Count.js';
import { ProblemNote } from '../../parts/ProblemNote.js';
import { DescribeDialect } from './DescribeDialect.js';

const WAYS = {
  address: { name: 'By its address', text: 'An SRU server that this program can ask by itself.' },
  hand: {
    name: 'By hand',
    text: 'A database that no program can ask: it prints the strings, you enter the counts and give the exported files.',
  },
} as const;
type Way = keyof typeof WAYS;

/** Adding a database that does not ship with the program. */
export function AddDatabase() {
  const [params, setParams] = useSearchParams();
  const way: Way = params.get('how') === 'hand' ? 'hand' : 'address';
  return (
    <div className="flex max-w-5xl flex-col gap-4 px-5 py-3">
      <div>
        <Link className="link text-sm" to=".." relative="path">
          Where to search
        </Link>
        <h1 className="text-[17px] font-bold">Add a database</h1>
      </div>
      <fieldset className="flex flex-wrap gap-x-8 gap-y-2">
        <legend className="sr-only">How it is reached</legend>
        {(Object.keys(WAYS) as Way[]).map((each) => (
          <label key={each} className="flex max-w-md cursor-pointer items-baseline gap-2">
            <input
              type="radio"
              className="radio radio-xs"
              name="how"
              checked={way === each}
              onChange={() =>
                setParams((before) => {
                  before.set('how', each);
                  return before;
                })
              }
            />
            <span>
              <b>{WAYS[each].name}</b>
              <span className="quiet block text-sm">{WAYS[each].text}</span>
            </span>
          </label>
        ))}
      </fieldset>
      {way === 'address' ? <ByAddress /> : <ByHand />}
    </div>
  );
}

function ByAddress() {
  const [address, setAddress] = useState('');
  const [explore, { data, error, isLoading }] = api.useExploreServerMutation();
  return (
    <div className="flex flex-col gap-4">
      <form
        className="flex flex-wrap items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          void explore(address);
        }}
      >
        <label className="flex min-w-0 flex-1 flex-col gap-1 md:max-w-xl">
          <span className="small-head">Address of the SRU server</span>
          <input
            className="input input-sm w-full font-mono"
            value={address}
            placeholder="https://"
            inputMode="url"
            onChange={({ target }) => setAddress(target.value)}
          />
        </label>
        <button className="btn btn-sm btn-primary" disabled={isLoading || address.trim() === ''}>
          Look at it
        </button>
      </form>
      {isLoading && (
        <p role="status" className="quiet">
          Asking it to explain itself, and searching once …
        </p>
      )}
      {error !== undefined && !isLoading && <ProblemNote problem={problemOf(error)} />}
      {data !== undefined && !isLoading && <Confirm key={data.address} found={data} />}
    </div>
  );
}

/** What was found, as a proposal. */
function Confirm({ found }: { found: ExploredServer }) {
  const { address, version, indexes, recordSchemas, test } = found;
  const [name, setName] = useState(found.name);
  const [dialect, setDialect] = useState<DialectDescription>(found.dialect);
  const [recordSchema, setRecordSchema] = useState(recordSchemas[0]?.name ?? 'mods');
  const readable = recordSchemas.find((each) => each.name === recordSchema)?.readable ?? true;
  return (
    <AddForm
      database={{
        how: 'address',
        name,
        description: found.description,
        address,
        version,
        recordSchema,
        dialect,
      }}
    >
      <FirstSearch test={test} />
      <div className="grid gap-3 md:grid-cols-[minmax(0,1fr)_14rem_8rem]">
        <NameField name={name} onChange={setName} />
        <label className="flex flex-col gap-1">
          <span className="small-head">Records come as</span>
          <select
            className="select select-sm w-full"
            value={recordSchema}
            onChange={({ target }) => setRecordSchema(target.value)}
          >
            {recordSchemas.map((schema) => (
              <option key={schema.name} value={schema.name}>
                {schema.title}
                {schema.readable ? '' : ' (cannot be read here)'}
              </option>
            ))}
            {recordSchemas.length === 0 && <option value="mods">MODS</option>}
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
      <DescribeDialect dialect={dialect} indexes={indexes} onChange={setDialect} />
    </AddForm>
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

function ByHand() {
  const [name, setName] = useState('');
  const [release, setRelease] = useState('');
  const [vocabulary, setVocabulary] = useState<string | null>(null);
  const [dialect, setDialect] = useState<DialectDescription>({ kind: 'corvane', names: {}, lacks: [] });
  const { data: vocabularies = [] } = api.useVocabulariesQuery();
  return (
    <AddForm database={{ how: 'hand', name, description: '', release, vocabulary, dialect }}>
      <div className="grid gap-3 md:grid-cols-2">
        <NameField name={name} onChange={setName} />
        <label className="flex flex-col gap-1">
          <span className="small-head">Its state, as its own pages tell it (may be left empty)</span>
          <input
            className="input input-sm w-full"
            value={release}
            placeholder="such as November 2026"
            maxLength={80}
            onChange={({ target }) => setRelease(target.value)}
          />
        </label>
        <label className="flex flex-col gap-1">
          <span className="small-head">The way of writing nearest to its own</span>
          <select
            className="select select-sm w-full"
            value={dialect.kind}
            onChange={({ target }) => setDialect({ kind: target.value, names: {}, lacks: [] })}
          >
            {DIALECT_KINDS.filter(({ id }) => id !== 'cql').map(({ id, form, precedence }) => (
              <option key={id} value={id}>
                {form}: {precedence}
              </option>
            ))}
          </select>
        </label>
        <label className="flex flex-col gap-1">
          <span className="small-head">Its headings are of</span>
          <select
            className="select select-sm w-full"
            value={vocabulary ?? ''}
            onChange={({ target }) => setVocabulary(target.value === '' ? null : target.value)}
          >
            <option value="">no vocabulary that is known here: headings become words</option>
            {vocabularies.map((each) => (
              <option key={each.id} value={each.id}>
                {each.name}
              </option>
            ))}
          </select>
        </label>
      </div>
      <DescribeDialect dialect={dialect} indexes={null} onChange={setDialect} />
    </AddForm>
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

function AddForm({ database, children }: { database: NewDatabase; children: ReactNode }) {
  const [add, { isLoading, error }] = api.useAddDatabaseMutation();
  const navigate = useNavigate();
  const save = () => {
    add(database)
      .unwrap()
      .then(
        ({ name }) => {
          toast(`Added ${name}.`);
          void navigate('..', { relative: 'path' });
        },
        () => undefined,
      );
  };
  return (
    <form
      className="rule flex flex-col gap-4 border-t pt-4"
      onSubmit={(event) => {
        event.preventDefault();
        save();
      }}
    >
      {children}
      {error !== undefined && <ProblemNote problem={problemOf(error)} />}
      <div>
        <button className="btn btn-sm btn-primary" disabled={isLoading || database.name.trim() === ''}>
          Add {database.name.trim() === '' ? 'it' : database.name}
        </button>
      </div>
    </form>
  );
}
