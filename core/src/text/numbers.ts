/** A whole number with thin spaces between thousands, as counts stand everywhere. */
export function formatCount(value: number): string {
  return value.toString().replace(/\B(?=(\d{3})+$)/g, '\u2009');
}

/** A number with what is counted: `1 record`, `2 records`. */
export function counted(value: number, one: string, many = `${one}s`): string {
  return `${formatCount(value)} ${value === 1 ? one : many}`;
}
