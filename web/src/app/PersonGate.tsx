/** On first use: who is working here? Everything done carries that name. */
import type { Person } from '@even-lantern/contract';
import { useMemo, useState, type ReactNode } from 'react';
import { LineForm } from '../parts/LineForm.js';
import { Mark } from '../parts/Mark.js';
import { ProblemNote } from '../parts/ProblemNote.js';
import { problemOf } from '../review/api/api.js';
import { peopleApi } from '../review/api/peopleApi.js';
import { forgetPerson, personId, PersonContext, rememberPerson } from '../review/api/person.js';

export function PersonGate({ children }: { children: ReactNode }) {
  const [id, setId] = useState(personId());
  const { data: people, error } = peopleApi.usePeopleQuery();
  const [addPerson, adding] = peopleApi.useAddPersonMutation();
  const person = people?.find((each) => each.id === id);
  const present = useMemo(
    () =>
      person === undefined
        ? null
        : {
            person,
            leave: () => {
              forgetPerson();
              setId(null);
            },
          },
    [person],
  );

  if (error !== undefined && people === undefined) {
    return (
      <main className="p-8">
        <ProblemNote problem={problemOf(error)} />
      </main>
    );
  }
  if (people === undefined) return <p className="quiet p-8">Opening Even Lantern …</p>;
  if (present !== null) return <PersonContext value={present}>{children}</PersonContext>;

  const choose = ({ id: chosen }: Person) => {
    rememberPerson(chosen);
    setId(chosen);
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
            {people.map((each) => (
              <li key={each.id}>
                <button className="btn btn-quiet w-full justify-start" onClick={() => choose(each)}>
                  Continue as {each.name}
                </button>
              </li>
            ))}
          </ul>
        )}
        <LineForm
          label={people.length > 0 ? 'Or somebody else' : 'Your name'}
          button="Begin"
          autoComplete="name"
          problem={adding.error === undefined ? null : problemOf(adding.error)}
          onSubmit={async (name) => {
            const added = await addPerson(name);
            if (added.data) choose(added.data);
          }}
        />
      </div>
    </main>
  );
}
