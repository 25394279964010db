import { counted, WAYS_ELSEWHERE, type WayElsewhere } from '@even-lantern/core';
import { format } from 'date-fns';
import type { WaitingFile } from '@even-lantern/contract';
import { useState, type FormEvent, type ReactNode } from 'react';
import { toast } from 'sonner';
import { problemOf } from '../../review/api/api.js';
import { ledgerApi } from '../../review/api/ledgerApi.js';
import { ProblemNote } from '../../parts/ProblemNote.js';
import { SearchFile } from './SearchFile.js';

/** What to say of the place, by the way of searching. */
const PLACES: Readonly<Record<WayElsewhere, string>> = {
  'hand search': 'Which journal or proceedings, which volumes',
  'web page': 'Which page, with its address',
  expert: 'Who was asked',
  'citation chasing': 'From which works, backward or forward',
  'grey literature': 'Which collection or body',
  'trial register': 'Which register',
  other: 'Where',
};

const today = () => format(new Date(), 'yyyy-MM-dd');

/** Enters a search that no database answered: it becomes an entry of its own. */
export function EnterSearch({ reviewId, onEntered }: { reviewId: string; onEntered: () => void }) {
  const [way, setWay] = useState<WayElsewhere>('hand search');
  const [place, setPlace] = useState('');
  const [string, setString] = useState('');
  const [count, setCount] = useState('');
  const [searchedOn, setSearchedOn] = useState(today);
  const [text, setText] = useState('');
  const [file, setFile] = useState<WaitingFile | null>(null);
  const [enter, { error, isLoading }] = ledgerApi.useEnterSearchMutation();
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    const { timeZone } = Intl.DateTimeFormat().resolvedOptions();
    const body = {
      way,
      place,
      string,
      count: count === '' ? null : Number(count),
      searchedOn,
      text,
      timeZone,
      file: file?.id ?? null,
    };
    const answer = await enter({ review: reviewId, body });
    if (answer.data === undefined) return;
    const brought = file === null ? '' : ` ${counted(file.records, 'record')} came into the review.`;
    toast(`Entered as entry ${answer.data.content.entry}.${brought}`);
    onEntered();
  };
  return (
    <form
      aria-label="A search made elsewhere"
      className="rule bg-base-200 mb-3 grid gap-3 rounded border p-3 md:grid-cols-4"
      onSubmit={(event) => void submit(event)}
    >
      <Field label="How">
        <select
          className="select select-sm w-full"
          value={way}
          onChange={({ target }) => setWay(target.value as WayElsewhere)}
        >
          {WAYS_ELSEWHERE.map((each) => (
            <option key={each}>{each}</option>
          ))}
        </select>
      </Field>
      <Field label={PLACES[way]} wide>
        <input
          className="input input-sm w-full"
          value={place}
          onChange={({ target }) => setPlace(target.value)}
        />
      </Field>
      <Field label="On which day">
        <input
          type="date"
          className="input input-sm w-full"
          value={searchedOn}
          max={today()}
          onChange={({ target }) => setSearchedOn(target.value)}
        />
      </Field>
      <Field label="What was searched for or asked" wide>
        <input
          className="input input-sm w-full font-mono text-xs"
          value={string}
          onChange={({ target }) => setString(target.value)}
        />
      </Field>
      <Field label="How many were found">
        <input
          type="number"
          min={0}
          step={1}
          className="input input-sm w-full"
          placeholder="not counted"
          value={count}
          onChange={({ target }) => setCount(target.value)}
        />
      </Field>
      <Field label="Note">
        <input
          className="input input-sm w-full"
          value={text}
          onChange={({ target }) => setText(target.value)}
        />
      </Field>
      <div className="md:col-span-4">
        <SearchFile
          reviewId={reviewId}
          file={file}
          onRead={(read) => {
            setFile(read);
            // Whoever counted something else has said so before.
            if (read !== null && count === '') setCount(String(read.records));
          }}
        />
      </div>
      <div className="flex flex-wrap items-center gap-3 md:col-span-4">
        <button className="btn btn-sm btn-primary" disabled={isLoading}>
          Enter it
        </button>
        <span className="quiet">Nobody can change an entry; correct a mistake with another entry.</span>
        {error !== undefined && <ProblemNote problem={problemOf(error)} />}
      </div>
    </form>
  );
}

function Field({ label, wide = false, children }: { label: string; wide?: boolean; children: ReactNode }) {
  return (
    <label className={`flex flex-col gap-1 ${wide ? 'md:col-span-2' : ''}`}>
      <span className="small-head">{label}</span>
      {children}
    </label>
  );
}
