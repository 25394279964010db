import type { DatabaseChoice, DatabaseProfile } from '@even-lantern/contract';
import { format } from 'date-fns';
import { useState } from 'react';
import { toast } from 'sonner';
import { problemOf } from '../../review/api/api.js';
import { databaseApi } from '../../review/api/databaseApi.js';

interface ChooseProps {
  reviewId: string;
  database: DatabaseProfile;
  choice: DatabaseChoice | undefined;
}

export function Choose({ reviewId, database, choice }: ChooseProps) {
  const [choose] = databaseApi.useChooseDatabaseMutation();
  const [note, setNote] = useState(choice?.note ?? '');
  const save = (chosen: boolean) => {
    choose({ review: reviewId, database: database.id, change: { chosen, note } })
      .unwrap()
      .catch((error: unknown) => toast.error(problemOf(error).title));
  };
  const name = `search-${database.id}`;
  return (
    <fieldset className="flex flex-col gap-1.5">
      <legend className="sr-only">Search {database.name} for this review</legend>
      <div className="flex gap-4">
        {[true, false].map((chosen) => (
          <label key={String(chosen)} className="flex cursor-pointer items-center gap-1.5">
            <input
              type="radio"
              className="radio radio-xs"
              name={name}
              checked={choice?.chosen === chosen}
              onChange={() => save(chosen)}
            />
            {chosen ? 'Search it' : 'Leave it out'}
          </label>
        ))}
      </div>
      {choice !== undefined && (
        <>
          <input
            className="input input-sm w-full"
            aria-label={`Note on ${database.name}`}
            placeholder={choice.chosen ? 'Note' : 'Why it is left out'}
            maxLength={2000}
            value={note}
            onChange={(event) => setNote(event.target.value)}
            onBlur={() => {
              if (note !== choice.note) save(choice.chosen);
            }}
          />
          <p className="quiet text-xs">
            {choice.person}, {format(new Date(choice.at), 'd MMM yyyy HH:mm')}
            {!choice.chosen && choice.note === '' && '. Nobody has written why yet.'}
          </p>
        </>
      )}
    </fieldset>
  );
}
