import { textKey, type LookupHit } from '@even-lantern/core';

/** Why a heading is offered. */
export function reasonInWords({ reason, matched, heading }: LookupHit, typed: string): string {
  switch (reason) {
    case 'same label':
      return 'this is its name';
    case 'entry term':
      return textKey(typed) === textKey(matched)
        ? `“${typed}” is no heading, this is used for it`
        : `“${typed}” is no heading, this is used for “${matched}”`;
    case 'other form of a label':
      return 'another form of its name';
    case 'other form of an entry term':
      return `used for “${matched}”`;
    case 'part of a label':
      return 'part of its name';
    case 'part of an entry term':
      return `used for “${matched}”`;
    case 'in other words':
      return `people also say “${matched}” for it`;
    case 'words of the scope note':
      return 'its scope note says so';
    case 'likely misspelling':
      return matched === heading.label ? 'the spelling is close' : `the spelling is close to “${matched}”`;
  }
}
