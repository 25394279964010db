import { counted } from '@even-lantern/core';
import type { VocabularySummary } from '@even-lantern/contract';
import { format } from 'date-fns';
import { TriangleAlert } from 'lucide-react';
import { Link } from 'react-router';
import { problemOf } from '../../review/api/api.js';
import { vocabularyApi } from '../../review/api/vocabularyApi.js';
import { PersonMenu } from '../../review/PersonMenu.js';
import { usePageTitle } from '../../parts/usePageTitle.js';
import { Mark } from '../../parts/Mark.js';
import { ProblemNote } from '../../parts/ProblemNote.js';
import { ReadVocabulary } from './ReadVocabulary.js';
import { Settled } from './Settled.js';

/** All vocabularies, those of databases and those read from files, and what is settled between them. */
export function VocabulariesPage() {
  usePageTitle('Vocabularies');
  const { data, error } = vocabularyApi.useVocabulariesQuery(undefined, { refetchOnMountOrArgChange: true });
  return (
    <main className="h-full overflow-auto">
      <div className="mx-auto flex max-w-4xl flex-col gap-6 px-4 py-10">
        <div className="flex justify-between">
          <Link to="/reviews" aria-label="Even Lantern, all reviews">
            <Mark />
          </Link>
          <PersonMenu />
        </div>
        <div>
          <Link to="/reviews" className="link text-sm">
            All reviews
          </Link>
          <h1 className="pt-2 text-xl font-bold">Vocabularies</h1>
          <p className="quiet">
            Lookup uses all of these. Read in the vocabulary of a database that the program cannot reach, and
            you can build concepts for it too.
          </p>
        </div>
        {error !== undefined && data === undefined && <ProblemNote problem={problemOf(error)} />}
        {data === undefined && error === undefined && <p className="quiet">Asking the databases …</p>}
        <ul className="rule divide-y divide-[var(--rule)] border-y">
          {(data ?? []).map((vocabulary) => (
            <VocabularyRow key={vocabulary.id} vocabulary={vocabulary} />
          ))}
        </ul>
        <ReadVocabulary />
        <Settled vocabularies={data ?? []} />
      </div>
    </main>
  );
}

function VocabularyRow({ vocabulary }: { vocabulary: VocabularySummary }) {
  const { id, name, release, headings, databases, imported } = vocabulary;
  const base = `/api/vocabularies/${encodeURIComponent(id)}`;
  return (
    <li className="flex flex-col gap-1 px-2 py-3">
      <div className="flex flex-wrap items-baseline gap-x-4">
        <b className="flex-1">{name}</b>
        <span className="count">{headings === null ? '–' : counted(headings, 'heading')}</span>
        <span className="flex gap-3 text-sm">
          <a className="link" href={`${base}/turtle`} download aria-label={`${name} as SKOS in Turtle`}>
            Turtle
          </a>
          <a className="link" href={`${base}/json-ld`} download aria-label={`${name} as SKOS in JSON-LD`}>
            JSON-LD
          </a>
        </span>
      </div>
      <p className="quiet">
        {imported === null
          ? `Served by ${databases.join(', ')}`
          : `Read from a file by ${imported.person}, ${format(new Date(imported.at), 'd MMM yyyy HH:mm')}`}
        {release !== '' && `; release ${release}`}
      </p>
      {imported !== null && imported.notes.length > 0 && <Notes notes={imported.notes} />}
    </li>
  );
}

function Notes({ notes }: { notes: readonly string[] }) {
  return (
    <ul className="flex flex-col gap-1 text-sm" aria-label="What was odd in the file">
      {notes.map((note) => (
        <li key={note} className="flex gap-1.5">
          <TriangleAlert className="text-warning mt-0.5 h-3.5 w-3.5 shrink-0" aria-hidden="true" />
          <span className="min-w-0 break-words">{note}</span>
        </li>
      ))}
    </ul>
  );
}
