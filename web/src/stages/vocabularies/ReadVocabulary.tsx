import { counted } from '@even-lantern/core';
import type { FileEncodingName, VocabularyFormat } from '@even-lantern/contract';
import { FileUp } from 'lucide-react';
import { useState } from 'react';
import { problemOf } from '../../review/api/api.js';
import { vocabularyApi } from '../../review/api/vocabularyApi.js';
import { EncodingMenu } from '../../parts/FileEncodingNote.js';
import { FilePicker } from '../../parts/FilePicker.js';
import { FileReading } from '../../review/FileReading.js';
import { ProblemNote } from '../../parts/ProblemNote.js';

const FORMATS: Readonly<Record<string, VocabularyFormat>> = {
  ttl: 'text/turtle',
  nt: 'text/turtle',
  jsonld: 'application/ld+json',
  json: 'application/ld+json',
};

/** Reads a vocabulary from a file. */
export function ReadVocabulary() {
  const [importVocabulary, { data, error, isLoading, originalArgs }] =
    vocabularyApi.useImportVocabularyMutation();
  const [wrongKind, setWrongKind] = useState<string | null>(null);
  const read = (file: File, encoding?: FileEncodingName) => {
    const kind = FORMATS[file.name.split('.').at(-1)?.toLowerCase() ?? ''];
    setWrongKind(
      kind === undefined
        ? `“${file.name}” is neither Turtle (.ttl) nor JSON-LD (.jsonld). Nothing was read in.`
        : null,
    );
    if (kind !== undefined) void importVocabulary({ file, format: kind, job: crypto.randomUUID(), encoding });
  };
  return (
    <section aria-label="Read a vocabulary" className="flex flex-col items-start gap-2">
      <FilePicker
        label="File of a vocabulary"
        accept=".ttl,.nt,.jsonld,.json,text/turtle,application/ld+json"
        className="btn btn-primary"
        disabled={isLoading}
        onPick={(file) => read(file)}
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
        {data !== undefined && originalArgs !== undefined && (
          <div className="pt-1">
            <EncodingMenu onChoose={(encoding) => read(originalArgs.file, encoding)} />
          </div>
        )}
      </div>
    </section>
  );
}
