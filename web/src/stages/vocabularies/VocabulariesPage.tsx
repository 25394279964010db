import { counted } from '@even-lantern/core';
import type { SettledStep, VocabularyFormat, VocabularySummary } from '@even-lantern/contract';
import { format } from 'date-fns';
import { FileUp, TriangleAlert } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { problemOf } from '../../review/api/api.js';
import { vocabularyApi } from '../../review/api/vocabularyApi.js';
import { PersonMenu } from '../../review/PersonMenu.js';
import { useCrosswalk } from '../../review/useCrosswalk.js';
import { FilePicker } from '../../parts/FilePicker.js';
import { FileReading } from '../../review/FileReading.js';
import { Mark } from '../../parts/Mark.js';
import { ProblemNote } from '../../parts/ProblemNote.js';

/** All vocabularies, those of databases and those read from files, and what is settled between them. */
export function VocabulariesPage() {
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

const FORMATS: Readonly<Record<string, VocabularyFormat>> = {
  ttl: 'text/turtle',
  nt: 'text/turtle',
  jsonld: 'application/ld+json',
  json: 'application/ld+json',
};

/** Reads a vocabulary from a file. */
function ReadVocabulary() {
  const [importVocabulary, { data, error, isLoading, originalArgs }] =
    vocabularyApi.useImportVocabularyMutation();
  const [wrongKind, setWrongKind] = useState<string | null>(null);
  const read = (file: File) => {
    const kind = FORMATS[file.name.split('.').at(-1)?.toLowerCase() ?? ''];
    setWrongKind(
      kind === undefined
        ? `“${file.name}” is neither Turtle (.ttl) nor JSON-LD (.jsonld). Nothing was read in.`
        : null,
    );
    if (kind !== undefined) void importVocabulary({ file, format: kind, job: crypto.randomUUID() });
  };
  return (
    <section aria-label="Read a vocabulary" className="flex flex-col items-start gap-2">
      <FilePicker
        label="File of a vocabulary"
        accept=".ttl,.nt,.jsonld,.json,text/turtle,application/ld+json"
        className="btn btn-primary"
        disabled={isLoading}
        onPick={read}
      >
        <FileUp className="h-4 w-4" aria-hidden="true" />
        {isLoading ? 'Reading …' : 'Read a vocabulary from SKOS …'}
      </FilePicker>
      <p className="quiet text-sm">
        Turtle or JSON-LD. A vocabulary of the same name replaces the earlier release, and you see what was
        withdrawn.
      </p>
      {isLoading && originalArgs !== undefined && (
        <FileReading job={originalArgs.job} name={originalArgs.file.name} />
      )}
      <div aria-live="polite" className="w-full">
        {wrongKind !== null && <p className="problem">{wrongKind}</p>}
        {error !== undefined && !isLoading && wrongKind === null && (
          <ProblemNote problem={problemOf(error)}>Nothing was read in.</ProblemNote>
        )}
        {data !== undefined && (
          <p>
            Read <b>{data.name}</b>: {counted(data.headings ?? 0, 'heading')}.{' '}
            {(data.imported?.notes.length ?? 0) === 0
              ? 'Nothing in it was odd.'
              : 'See above for what was odd.'}
          </p>
        )}
      </div>
    </section>
  );
}

const VERDICT_WORDS = {
  confirmed: 'stands for it',
  refused: 'refused',
  words: 'its names as words',
} as const;

/** Everything that was settled, with who did it and when. */
function Settled({ vocabularies }: { vocabularies: readonly VocabularySummary[] }) {
  const { settlements, settle } = useCrosswalk();
  const nameOf = (id: string) => vocabularies.find((each) => each.id === id)?.name ?? id;
  const takeBack = ({ vocabulary, label, target, targetLabel }: SettledStep) =>
    void settle(
      { vocabulary, label, target, targetLabel, verdict: 'open' },
      `took back what stands for ${label}`,
    );
  return (
    <section aria-labelledby="settled" className="flex flex-col gap-2 pb-10">
      <div className="flex flex-wrap items-baseline gap-4">
        <h2 id="settled" className="flex-1 font-bold">
          Crosswalk
        </h2>
        {settlements.length > 0 && (
          <span className="flex gap-3 text-sm">
            <a className="link" href="/api/crosswalk.ttl" download aria-label="Crosswalk as SKOS in Turtle">
              Turtle
            </a>
            <a className="link" href="/api/crosswalk.csv" download aria-label="Crosswalk as CSV">
              CSV
            </a>
          </span>
        )}
      </div>
      {settlements.length === 0 ? (
        <p className="quiet">
          Nothing is settled yet. Open a heading in a lane to see proposals from other vocabularies; what you
          confirm holds for all reviews.
        </p>
      ) : (
        <table className="w-full text-sm">
          <thead>
            <tr className="rule quiet border-b text-left">
              <th className="py-1 pr-3 font-normal">Heading</th>
              <th className="py-1 pr-3 font-normal">In</th>
              <th className="py-1 pr-3 font-normal">What stands for it</th>
              <th className="py-1 pr-3 font-normal">Settled</th>
              <td />
            </tr>
          </thead>
          <tbody>
            {[...settlements].reverse().map((step) => (
              <tr
                key={JSON.stringify([step.vocabulary, step.label, step.target, step.targetLabel])}
                className="rule border-b align-top"
              >
                <td className="py-1 pr-3">
                  <b>{step.label}</b>
                  <span className="quiet block text-xs">{nameOf(step.vocabulary)}</span>
                </td>
                <td className="py-1 pr-3">{nameOf(step.target)}</td>
                <td className="py-1 pr-3">
                  {step.targetLabel ?? ''}
                  <span className={step.targetLabel === null ? '' : 'quiet block text-xs'}>
                    {VERDICT_WORDS[step.verdict]}
                  </span>
                </td>
                <td className="quiet py-1 pr-3">
                  {format(new Date(step.at), 'd MMM yyyy HH:mm')}, {step.person}
                </td>
                <td className="py-1 text-right">
                  <button
                    className="link text-xs"
                    onClick={() => takeBack(step)}
                    aria-label={`Take back ${step.targetLabel ?? 'words'} for ${step.label}`}
                  >
                    take back
                  </button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}
