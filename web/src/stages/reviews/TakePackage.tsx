import { PackageOpen } from 'lucide-react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
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
  const navigate = useNavigate();
  const pick = async (file: File) => {
    const { data } = await take({ file, job: crypto.randomUUID() });
    if (data === undefined) return;
    toast(
      `“${data.title}” is here, with everything that belongs to it.`,
      data.paused === 0
        ? undefined
        : {
            description: `${counted(data.paused, 'schedule')} paused: go on with it here or there, not in both.`,
          },
    );
    void navigate(`/reviews/${data.id}`);
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
    </section>
  );
}
