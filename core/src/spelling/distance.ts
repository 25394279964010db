/**
 * How many slips of the fingers lie between two words: a letter left out, put in, changed, or two swapped
 * (optimal string alignment distance).
 * @param most when more are found, any number above it is returned
 */
export function slips(a: string, b: string, most: number): number {
  if (Math.abs(a.length - b.length) > most) return most + 1;
  let beforeLast: number[] = [];
  let last = Array.from({ length: b.length + 1 }, (_, j) => j);
  for (let i = 1; i <= a.length; i += 1) {
    const row = [i];
    let least = i;
    for (let j = 1; j <= b.length; j += 1) {
      const changed = (last[j - 1] ?? 0) + (a[i - 1] === b[j - 1] ? 0 : 1);
      let best = Math.min((last[j] ?? 0) + 1, (row[j - 1] ?? 0) + 1, changed);
      if (i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1]) {
        best = Math.min(best, (beforeLast[j - 2] ?? 0) + 1);
      }
      row.push(best);
      least = Math.min(least, best);
    }
    if (least > most) return most + 1;
    beforeLast = last;
    last = row;
  }
  return last[b.length] ?? 0;
}
