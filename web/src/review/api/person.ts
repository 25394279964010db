/** Who is working in this browser. */
import type { Person } from '@even-lantern/contract';
import { createContext, useContext } from 'react';

const KEY = 'even-lantern-person';

export function personId(): string | null {
  return localStorage.getItem(KEY);
}

export function rememberPerson(id: string): void {
  localStorage.setItem(KEY, id);
}

export function forgetPerson(): void {
  localStorage.removeItem(KEY);
}

interface Present {
  person: Person;
  /** lets somebody else take over in this browser */
  leave: () => void;
}

export const PersonContext = createContext<Present | null>(null);

export function usePerson(): Present {
  const present = useContext(PersonContext);
  if (present === null) throw new Error('nobody is working here yet');
  return present;
}
