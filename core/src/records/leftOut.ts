/** What records of a file have, and records here have no place for: counted by kind, and told. */
import type { RecordTrouble } from './formats/format.js';

export type TellLeftOut = (kind: string, times?: number) => void;

export interface LeftOut {
  /** @param line where it stands, from 1 */
  note(line: number, kind: string, times?: number): void;
  troubles(): RecordTrouble[];
}

export function leftOut(): LeftOut {
  const kinds = new Map<string, number>();
  let firstLine = 1;
  return {
    note(line, kind, times = 1) {
      if (times === 0) return;
      if (kinds.size === 0) firstLine = line;
      kinds.set(kind, (kinds.get(kind) ?? 0) + times);
    },
    troubles() {
      if (kinds.size === 0) return [];
      const listed = [...kinds].map(([kind, times]) => `${kind} (${times})`).join(', ');
      return [
        {
          line: firstLine,
          message: `Records here have no place for these, so they are left out: ${listed}.`,
        },
      ];
    },
  };
}
