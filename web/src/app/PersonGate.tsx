/** On first use: who is working here? Everything done carries that name. */
import { useState, type FormEvent, type ReactNode } from 'react';
import { Mark } from '../parts/Mark.js';
import { ProblemNote } from '../parts/ProblemNote.js';
import { api, problemOf } from './api.js';
import { personId, rememberPerson } from './person.js';

export function PersonGate({ children }: { children: ReactNode }) {
  const [id, setId] = useState(personId());
  const { data: people, error } = api.usePeopleQuery();
  const [addPerson, adding] = api.useAddPersonMutation();
  const [name, setName] = useState('');

  if (error !== undefined && people === undefined) {
    return (
      <main className="p-8">
        <ProblemNote problem={problemOf(error)} />
      </main>
    );
  }
  if (people === undefined) return <p className="quiet p-8">Opening Even Lantern …</p>;
  if (people.some((person) => person.id === id)) return children;

  const choose = (chosen: string) => {
    rememberPerson(chosen);
    setId(chosen);
  };
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    const added = await addPerson(name);
    if (added.data) choose(added.data.id);
  };
  return (
    <main className="h-full overflow-auto">
      <div className="mx-auto flex max-w-md flex-col gap-4 px-4 py-24">
        <Mark />
        <h1 className="text-xl font-bold">Who is working here?</h1>
        <p className="quiet">
          Every edit, decision and logged search carries a name, so that a report can say who did what.
        </p>
        {people.length > 0 && (
          <ul className="flex flex-col gap-2">
            {people.map((person) => (
              <li key={person.id}>
                <button className="btn btn-quiet w-full justify-start" onClick={() => choose(person.id)}>
                  Continue as {person.name}
                </button>
              </li>
            ))}
          </ul>
        )}
        <form onSubmit={(event) => void submit(event)} className="flex flex-col gap-2">
          <label htmlFor="person-name" className="small-head">
            {people.length > 0 ? 'Or somebody else' : 'Your name'}
          </label>
          <div className="flex gap-2">
            <input
              id="person-name"
              className="input flex-1"
              value={name}
              autoComplete="name"
              onChange={(event) => setName(event.target.value)}
            />
            <button className="btn btn-primary">Begin</button>
          </div>
          {adding.error !== undefined && <ProblemNote problem={problemOf(adding.error)} />}
        </form>
      </div>
    </main>
  );
}
