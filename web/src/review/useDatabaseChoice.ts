import type { DatabaseList, DatabaseProfile } from '@even-lantern/contract';
import { useEffect } from 'react';
import { useSearchParams } from 'react-router';
import { databaseApi } from './api/databaseApi.js';

const REMEMBERED = 'even-lantern-database';
const POLLING_MS = 5000;

export interface DatabaseChoice {
  /** the database that counts come from; null while it has never answered */
  database: DatabaseProfile | null;
  /** those that are known, and why others are not: the one that is wanted first */
  databases: DatabaseProfile[];
  failed: DatabaseList['failed'];
  loading: boolean;
  /** @param leaving a parameter of the address that goes at the same time */
  choose: (id: string, leaving?: string) => void;
}

/**
 * The database that an address names, or that was chosen last, or else the first of all. Null where it has never
 * answered: counts of another would pass for its own.
 */
export function chosenDatabase(
  { databases, order }: Pick<DatabaseList, 'databases' | 'order'>,
  params: URLSearchParams,
): DatabaseProfile | null {
  return databases.find(({ id }) => id === preferredOf(order, params)) ?? null;
}

function preferredOf(order: readonly string[], params: URLSearchParams): string | null {
  const preferred = [params.get('database'), localStorage.getItem(REMEMBERED), order[0]];
  return preferred.find((id) => id !== null && id !== undefined && order.includes(id)) ?? null;
}

/** Which database counts come from. It is part of the address, so that an address opens the same counts. */
export function useDatabaseChoice(): DatabaseChoice {
  const { data } = databaseApi.useDatabasesQuery(undefined, { pollingInterval: POLLING_MS });
  const [params, setParams] = useSearchParams();
  const inAddress = params.get('database');
  const chosen = inAddress ?? localStorage.getItem(REMEMBERED);
  const databases = data?.databases ?? [];
  const preferred = preferredOf(data?.order ?? [], params);
  const failed = [...(data?.failed ?? [])].sort(
    (a, b) => Number(b.id === preferred) - Number(a.id === preferred),
  );
  const known = chosen !== null && data?.order.includes(chosen) === true;
  const database = data === undefined ? null : chosenDatabase(data, params);

  // Links within the interface do not carry it, so it is put back after each of them.
  useEffect(() => {
    if (inAddress !== null || chosen === null || !known) return;
    setParams(
      (before) => {
        before.set('database', chosen);
        return before;
      },
      { replace: true },
    );
  }, [inAddress, chosen, known, setParams]);

  const choose = (id: string, leaving?: string) => {
    localStorage.setItem(REMEMBERED, id);
    setParams(
      (before) => {
        before.set('database', id);
        if (leaving !== undefined) before.delete(leaving);
        return before;
      },
      { replace: true },
    );
  };
  return { database, databases, failed, loading: data === undefined, choose };
}
