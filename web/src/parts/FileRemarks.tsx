import { counted, type RecordTrouble } from '@even-lantern/core';

/** What could not be read in a file, or came twice, with its line; folded, since the rest was read. */
export function FileRemarks({ troubles }: { troubles: readonly RecordTrouble[] }) {
  if (troubles.length === 0) return null;
  return (
    <details className="text-sm">
      <summary>{counted(troubles.length, 'remark')} on the file</summary>
      <ul className="list-disc pl-5">
        {troubles.map(({ line, message }) => (
          <li key={`${line} ${message}`}>
            {line > 1 && `Line ${line}: `}
            {message}
          </li>
        ))}
      </ul>
    </details>
  );
}
