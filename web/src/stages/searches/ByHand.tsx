import { counted, formatCount } from '@even-lantern/core';
import type { TranslatedLine } from '@even-lantern/contract';
import { format } from 'date-fns';
import { FileUp } from 'lucide-react';
import { useState } from 'react';
import { toast } from 'sonner';
import { problemOf } from '../../review/api/api.js';
import { databaseApi, type GivenFile } from '../../review/api/databaseApi.js';
import { FilePicker } from '../../parts/FilePicker.js';
import { FileReading } from '../../review/FileReading.js';
import { FileEncodingNote } from '../../parts/FileEncodingNote.js';
import { FileRemarks } from '../../parts/FileRemarks.js';
import { ProblemNote } from '../../parts/ProblemNote.js';

interface ByHandProps {
  database: string;
  line: TranslatedLine;
  /** whether it is what the strategy finds, so that its records are read */
  isLast: boolean;
  /** called when a count was entered, to go on to the next line */
  onEntered: () => void;
}

/** For a database that is asked by hand: the count that a person read, and the records that it exported. */
export function ByHand({ database, line, isLast, onEntered }: ByHandProps) {
  const { data: answer, error } = databaseApi.useHandAnswerQuery({ database, text: line.sent });
  const [enter, entering] = databaseApi.useEnterCountMutation();
  const [give, giving] = databaseApi.useGiveRecordsMutation();
  const [written, setWritten] = useState('');
  const hits = Number(written);
  const usable = /^\d+$/.test(written.trim());
  const save = () => {
    if (!usable) return;
    enter({ database, count: { text: line.sent, hits } })
      .unwrap()
      .then(() => {
        setWritten('');
        onEntered();
      })
      .catch((problem: unknown) => toast.error(problemOf(problem).title));
  };
  const pick = (file: File, again: Pick<GivenFile, 'encoding' | 'insteadOf'> = {}) => {
    if (answer === undefined) return;
    give({ database, answer: answer.id, file, job: crypto.randomUUID(), ...again })
      .unwrap()
      .then(({ read, added, troubles }) => {
        const rest = troubles.length === 0 ? '' : ` ${counted(troubles.length, 'remark')} on it below.`;
        toast(`${counted(read, 'record')} read, ${formatCount(added)} of them new.${rest}`);
      })
      .catch(() => undefined);
  };
  return (
    <section aria-label="Asked by hand" className="flex flex-col gap-2">
      <h3 className="small-head">Asked by hand</h3>
      <p className="quiet text-sm">Copy the string, search there, and enter how many records it finds.</p>
      {error !== undefined && <ProblemNote problem={problemOf(error)} />}
      <form
        className="flex flex-wrap items-center gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          save();
        }}
      >
        <input
          className="input input-sm w-32 text-right tabular-nums"
          aria-label={`Records that L${line.number} finds`}
          inputMode="numeric"
          placeholder={answer?.hits === null || answer === undefined ? 'count' : formatCount(answer.hits)}
          value={written}
          onChange={({ target }) => setWritten(target.value)}
        />
        <button className="btn btn-sm btn-quiet" disabled={!usable || entering.isLoading}>
          Enter
        </button>
        {written !== '' && !usable && <span className="problem text-sm">A whole number, digits only.</span>}
        {answer?.enteredBy !== null && answer?.enteredAt !== null && answer !== undefined && (
          <span className="quiet text-sm">
            {formatCount(answer.hits ?? 0)}, entered by {answer.enteredBy},{' '}
            {format(new Date(answer.enteredAt), 'd MMM yyyy HH:mm')}
          </span>
        )}
      </form>
      {isLast && answer !== undefined && (
        <div className="flex flex-wrap items-center gap-2">
          <FilePicker
            label="Exported file of records"
            accept=".ris,.txt,.xml"
            className="btn btn-sm btn-quiet"
            disabled={giving.isLoading}
            onPick={(file) => pick(file)}
          >
            <FileUp className="h-4 w-4" aria-hidden="true" /> Give the exported file
          </FilePicker>
          <span className="quiet text-sm">
            {answer.records === 0
              ? 'RIS, MODS or Dublin Core. You can add several files.'
              : `${counted(answer.records, 'record')} given${
                  answer.hits === null || answer.hits === answer.records
                    ? '.'
                    : `; ${formatCount(answer.hits)} were counted.`
                }`}
          </span>
        </div>
      )}
      {giving.isLoading && giving.originalArgs !== undefined && (
        <FileReading job={giving.originalArgs.job} name={giving.originalArgs.file.name} />
      )}
      {giving.data !== undefined &&
        giving.data.encoding.how !== 'utf8' &&
        giving.originalArgs !== undefined && (
          <FileEncodingNote
            encoding={giving.data.encoding}
            onChoose={(encoding) => {
              const { file, job } = giving.originalArgs ?? {};
              if (file !== undefined && job !== undefined) pick(file, { encoding, insteadOf: job });
            }}
          />
        )}
      {giving.data !== undefined && <FileRemarks troubles={giving.data.troubles} />}
      {giving.error !== undefined && <ProblemNote problem={problemOf(giving.error)} />}
    </section>
  );
}
