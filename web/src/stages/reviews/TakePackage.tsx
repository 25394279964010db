import { PackageOpen } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import type { PackageTaken, StandingHere } from '@even-lantern/contract';
import { counted } from '@even-lantern/core';
import { problemOf } from '../../review/api/api.js';
import { ledgerApi } from '../../review/api/ledgerApi.js';
import { FilePicker } from '../../parts/FilePicker.js';
import { FileReading } from '../../review/FileReading.js';
import { GuideLink } from '../../parts/GuideLink.js';
import { ProblemNote } from '../../parts/ProblemNote.js';

/** Takes in a whole review from the file that another installation made of it. */
export function TakePackage() {
  const [take, { error, isLoading, originalArgs }] = ledgerApi.useTakePackageMutation();
  const [taken, setTaken] = useState<PackageTaken | null>(null);
  const pick = async (file: File) => {
    setTaken(null);
    const { data } = await take({ file, job: crypto.randomUUID() });
    if (data !== undefined) setTaken(data);
  };
  return (
    <section aria-label="A review from a file" className="flex flex-col gap-2">
      <p className="flex flex-wrap items-center gap-3">
        <FilePicker
          label="A review as one file"
          accept=".zip,application/zip"
          className="btn btn-sm btn-quiet"
          disabled={isLoading}
          onPick={(file) => void pick(file)}
        >
          <PackageOpen className="h-4 w-4" aria-hidden="true" /> Take in a review from a file
        </FilePicker>
        <span className="quiet text-sm">
          A review saved as one file, here or elsewhere.{' '}
          <GuideLink to="ledger#a-review-as-one-file">More</GuideLink>
        </span>
      </p>
      {isLoading && originalArgs !== undefined && (
        <FileReading job={originalArgs.job} name={originalArgs.file.name} />
      )}
      {error !== undefined && !isLoading && <ProblemNote problem={problemOf(error)} />}
      {taken !== null && <Taken taken={taken} />}
    </section>
  );
}

/** What came, and how far its ledger proves it. */
function Taken({ taken: { id, title, paused, seal, standing, unvouched } }: { taken: PackageTaken }) {
  return (
    <div role="status" className="rule rounded-box flex flex-col gap-2 border p-3 text-sm">
      <p className="flex flex-wrap items-center gap-3">
        “{title}” is here, with everything that belongs to it.
        <Link to={`/reviews/${id}`} className="btn btn-sm btn-primary" autoFocus>
          Open the review
        </Link>
      </p>
      {paused > 0 && (
        <p>{counted(paused, 'schedule')} paused: go on with it here or there, not in both installations.</p>
      )}
      {standing.map((each) => (
        <Standing key={each.text} standing={each} />
      ))}
      <p>
        Its ledger fits in itself, and ends at this seal. Compare the seal with one that you got in another
        way: a ledger that somebody wrote anew fits in itself too.
      </p>
      <p className="break-all font-mono">{seal}</p>
      <p>The ledger does not prove everything in the package:</p>
      <ul className="list-disc pl-5">
        {unvouched.map((each) => (
          <li key={each}>{each}</li>
        ))}
      </ul>
    </div>
  );
}

/** What is said otherwise here, and the button that takes over what the package says. */
function Standing({ standing: { text, instead } }: { standing: StandingHere }) {
  const [takeOver, { data, error, isLoading }] = ledgerApi.useTakeOverMutation();
  return (
    <div className="flex flex-col items-start gap-1">
      <p>{text}</p>
      {instead.length > 0 && data === undefined && (
        <button
          type="button"
          className="btn btn-xs btn-quiet"
          disabled={isLoading}
          onClick={() => void takeOver(instead)}
        >
          Take over what the package says
        </button>
      )}
      {data !== undefined && <p role="status">Taken over. It counts from now on, in your name.</p>}
      {error !== undefined && <ProblemNote problem={problemOf(error)} />}
    </div>
  );
}
