import { counted } from '@even-lantern/core';
import type { FileEncodingName, WaitingFile } from '@even-lantern/contract';
import { FileUp, X } from 'lucide-react';
import { problemOf } from '../../review/api/api.js';
import { ledgerApi } from '../../review/api/ledgerApi.js';
import { FileEncodingNote } from '../../parts/FileEncodingNote.js';
import { FilePicker } from '../../parts/FilePicker.js';
import { FileReading } from '../../review/FileReading.js';
import { FileRemarks } from '../../parts/FileRemarks.js';
import { ProblemNote } from '../../parts/ProblemNote.js';

interface SearchFileProps {
  reviewId: string;
  file: WaitingFile | null;
  onRead: (file: WaitingFile | null) => void;
}

/** The file of records that a search brought: what is in it is told before the search is entered. */
export function SearchFile({ reviewId, file, onRead }: SearchFileProps) {
  const [read, { error, isLoading, originalArgs, reset }] = ledgerApi.useReadSearchFileMutation();
  const pick = async (picked: File, encoding?: FileEncodingName) => {
    const job = crypto.randomUUID();
    const { data } = await read({ review: reviewId, file: picked, job, encoding });
    // A file that cannot be read does not take the place of one that was.
    if (data !== undefined) onRead(data);
  };
  return (
    <div className="flex flex-col gap-2">
      <p className="flex flex-wrap items-center gap-2">
        <FilePicker
          label="File of the records found"
          accept=".ris,.txt,.xml"
          className="btn btn-sm btn-quiet"
          disabled={isLoading}
          onPick={(picked) => void pick(picked)}
        >
          <FileUp className="h-4 w-4" aria-hidden="true" />
          {file === null ? 'Add the file of records' : 'Take another file'}
        </FilePicker>
        {file === null && !isLoading && (
          <span className="quiet text-sm">RIS, MODS or Dublin Core; its records come into the review.</span>
        )}
        {file !== null && (
          <>
            <span className="text-sm">
              <b>{file.name}</b>: {counted(file.records, 'record')}, beginning with “{file.titles[0]}”
            </span>
            <button
              type="button"
              className="btn btn-xs btn-quiet"
              aria-label={`Leave ${file.name} out`}
              onClick={() => {
                onRead(null);
                reset();
              }}
            >
              <X className="h-3.5 w-3.5" aria-hidden="true" />
            </button>
          </>
        )}
      </p>
      {isLoading && originalArgs !== undefined && (
        <FileReading job={originalArgs.job} name={originalArgs.file.name} />
      )}
      {file !== null && (
        <FileEncodingNote
          encoding={file.encoding}
          {...(originalArgs === undefined
            ? {}
            : { onChoose: (encoding) => void pick(originalArgs.file, encoding) })}
        />
      )}
      {file !== null && <FileRemarks troubles={file.troubles} />}
      {error !== undefined && !isLoading && <ProblemNote problem={problemOf(error)} />}
    </div>
  );
}
