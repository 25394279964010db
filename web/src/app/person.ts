/** Who is working in this browser. */
const KEY = 'even-lantern-person';

export function personId(): string | null {
  return localStorage.getItem(KEY);
}

export function rememberPerson(id: string): void {
  localStorage.setItem(KEY, id);
}
