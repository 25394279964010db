/** A version of the strategy, by its number and its name where it has one. */
export function versionText({ number, name }: { number: number; name: string }): string {
  return name === '' ? String(number) : `${number}, ${name}`;
}
