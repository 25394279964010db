import type { NewSruDatabase, DatabaseSettings } from '@even-lantern/contract';
import { Link, useNavigate, useParams } from 'react-router';
import { toast } from 'sonner';
import { useEffect } from 'react';
import { problemOf } from '../../review/api/api.js';
import { databaseApi } from '../../review/api/databaseApi.js';
import { useUndo } from '../../review/undo.js';
import { ProblemNote } from '../../parts/ProblemNote.js';
import { type Saving } from './DatabaseForm.js';
import { HandForm } from './HandForm.js';
import { ServerForm } from './ServerForm.js';

/** Saying something else of a database that was added. */
export function ChangeDatabase() {
  const { database: id = '' } = useParams();
  const { data, error } = databaseApi.useDatabaseSettingsQuery(id);
  return (
    <div className="flex max-w-5xl flex-col gap-4 px-5 py-3">
      <div>
        <Link className="link text-sm" to="../.." relative="path">
          Where to search
        </Link>
        <h1 className="text-[1.0625rem] font-bold">
          {data === undefined ? 'What is said of it' : `What is said of ${data.name}`}
        </h1>
        <p className="quiet">
          What you ran, counted and added stays. Strings follow the new description from now on.
        </p>
      </div>
      {error !== undefined && <ProblemNote problem={problemOf(error)} />}
      {data !== undefined && <Change said={data} />}
    </div>
  );
}

function Change({ said: { id, ...said } }: { said: DatabaseSettings }) {
  const [change] = databaseApi.useChangeDatabaseMutation();
  const { remember } = useUndo();
  const navigate = useNavigate();
  const saving: Saving = {
    say: () => 'Save',
    save: async (database) => {
      const { name } = await change({ ...database, id }).unwrap();
      const put = (what: typeof database) => ({ kind: 'say of database', said: { ...what, id } }) as const;
      remember({ what: `changed what is said of ${name}`, undo: put(said), redo: put(database) });
      toast(`Changed what is said of ${name}.`);
      await navigate('../..', { relative: 'path' });
    },
  };
  return said.how === 'hand' ? (
    <HandForm initial={said} saving={saving} />
  ) : (
    <ServerChange said={said} saving={saving} />
  );
}

/** With the indexes that the server has now; where it does not answer, with those that are in use. */
function ServerChange({ said, saving }: { said: NewSruDatabase; saving: Saving }) {
  const [explore, { data, error }] = databaseApi.useExploreServerMutation();
  useEffect(() => void explore(said.address), [explore, said.address]);
  if (data === undefined && error === undefined) {
    return (
      <p role="status" className="quiet">
        Asking {said.address} to explain itself …
      </p>
    );
  }
  const used = [...new Set(Object.values(said.dialect.names))].filter((name) => typeof name === 'string');
  const found = data ?? {
    indexes: used.map((name) => ({ name, title: 'in use' })),
    recordSchemas: [],
    test: null,
  };
  return (
    <>
      {error !== undefined && <ProblemNote problem={problemOf(error)} />}
      <ServerForm found={found} initial={said} saving={saving} />
    </>
  );
}
