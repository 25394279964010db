import type { LedgerKind } from '@even-lantern/core';
import { databaseApi } from '../../review/api/databaseApi.js';
import { KIND_NAMES } from './summaryWords.js';

/** Which entries are shown; an empty text shows all. */
export interface LedgerNarrowing {
  search: string;
  kind: LedgerKind | '';
  database: string;
}

interface LedgerFilterProps {
  filter: LedgerNarrowing;
  onChange: (filter: LedgerNarrowing) => void;
}

/** Narrows the list of entries by words, kind and database. */
export function LedgerFilter({ filter, onChange }: LedgerFilterProps) {
  const { data: known } = databaseApi.useDatabasesQuery();
  return (
    <>
      <input
        className="input input-sm w-52"
        type="search"
        aria-label="Find entries by their words"
        placeholder="Strings, names, notes"
        value={filter.search}
        onChange={({ target }) => onChange({ ...filter, search: target.value })}
      />
      <select
        className="select select-sm w-auto"
        aria-label="Kind of entry"
        value={filter.kind}
        onChange={({ target }) => onChange({ ...filter, kind: target.value as LedgerKind | '' })}
      >
        <option value="">All kinds</option>
        {Object.entries(KIND_NAMES).map(([value, name]) => (
          <option key={value} value={value}>
            {name}
          </option>
        ))}
      </select>
      <select
        className="select select-sm w-auto max-w-52"
        aria-label="Database"
        value={filter.database}
        onChange={({ target }) => onChange({ ...filter, database: target.value })}
      >
        <option value="">All databases</option>
        {known?.databases.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </select>
    </>
  );
}
