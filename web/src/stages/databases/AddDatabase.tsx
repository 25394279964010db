import type { ExploredServer, NewHandDatabase, NewSruDatabase } from '@even-lantern/contract';
import { useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { toast } from 'sonner';
import { problemOf } from '../../review/api/api.js';
import { databaseApi } from '../../review/api/databaseApi.js';
import { ProblemNote } from '../../parts/ProblemNote.js';
import { type Saving } from './DatabaseForm.js';
import { HandForm } from './HandForm.js';
import { ServerForm } from './ServerForm.js';

const WAYS = {
  address: { name: 'By its address', text: 'An SRU server that the program can query by itself.' },
  hand: {
    name: 'By hand',
    text: 'A database that no program can query: you copy the strings, then enter the counts and add the exported files.',
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
        <h1 className="text-[1.0625rem] font-bold">Add a database</h1>
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
  const [explore, { data, error, isLoading }] = databaseApi.useExploreServerMutation();
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
          Asking the server to explain itself, and making a first search …
        </p>
      )}
      {error !== undefined && !isLoading && <ProblemNote problem={problemOf(error)} />}
      {data !== undefined && <Found key={data.address} found={data} />}
    </div>
  );
}

function Found({ found }: { found: ExploredServer }) {
  const { address, version, name, description, dialect, limits, budget, recordSchemas } = found;
  const recordSchema = recordSchemas[0]?.name ?? 'mods';
  const proposed: NewSruDatabase = {
    how: 'address',
    address,
    version,
    name,
    description,
    dialect,
    limits,
    budget,
    recordSchema,
    vocabulary: null,
  };
  return <ServerForm found={found} initial={proposed} saving={useAdding()} />;
}

const BY_HAND: NewHandDatabase = {
  how: 'hand',
  name: '',
  description: '',
  release: '',
  vocabulary: null,
  dialect: { kind: 'corvane', names: {}, lacks: [] },
};

function ByHand() {
  return <HandForm initial={BY_HAND} saving={useAdding()} />;
}

function useAdding(): Saving {
  const [add] = databaseApi.useAddDatabaseMutation();
  const navigate = useNavigate();
  return {
    say: (name) => `Add ${name === '' ? 'it' : name}`,
    save: async (database) => {
      const { name } = await add(database).unwrap();
      toast(`Added ${name}.`);
      await navigate('..', { relative: 'path' });
    },
  };
}
