import { FileDown, FileUp } from 'lucide-react';
import { useEffect, useRef, type ReactNode } from 'react';
import { FilePicker } from './FilePicker.js';
import { jsonFrom } from './jsonFile.js';

/** What an entry of the menu looks like that is a button. */
export const ENTRY =
  'hover:bg-base-300 flex w-full cursor-pointer items-center gap-2 rounded px-2 py-1 text-left';

interface FilesMenuProps {
  className?: string;
  /** entries, each of them an item of a list */
  children: ReactNode;
}

/** A menu of files, out and in. It closes when something was chosen in it, by Escape, and when one turns elsewhere. */
export function FilesMenu({ className = '', children }: FilesMenuProps) {
  const menu = useRef<HTMLDetailsElement>(null);
  const close = () => menu.current?.removeAttribute('open');
  useEffect(() => {
    const turned = ({ target }: Event) => {
      if (target instanceof Node && menu.current?.contains(target) === false) close();
    };
    document.addEventListener('pointerdown', turned);
    document.addEventListener('focusin', turned);
    return () => {
      document.removeEventListener('pointerdown', turned);
      document.removeEventListener('focusin', turned);
    };
  }, []);
  return (
    <details
      ref={menu}
      className={`relative text-sm ${className}`}
      onKeyDown={(event) => {
        if (event.key !== 'Escape' || menu.current?.open !== true) return;
        event.stopPropagation();
        close();
        menu.current.querySelector('summary')?.focus();
      }}
    >
      <summary className="btn btn-xs btn-quiet">
        <FileDown className="h-3.5 w-3.5" aria-hidden="true" /> Files
      </summary>
      <ul
        className="rule bg-base-100 rounded-box absolute right-0 z-20 mt-1 flex w-72 max-w-[90vw] flex-col gap-1 border p-2 shadow-lg"
        onClick={({ target }) => {
          if (target instanceof Element && target.closest('a, button') !== null) close();
        }}
      >
        {children}
      </ul>
    </details>
  );
}

interface ReadJsonProps {
  /** what the entry says, as in “Read lanes from JSON …” */
  text: string;
  /** what the file should be, as in “This file is too large to be lanes.” */
  what: string;
  /** called with what the file holds, where it is JSON */
  onRead: (document: unknown) => void;
}

/** An entry that reads a file of JSON. */
export function ReadJson({ text, what, onRead }: ReadJsonProps) {
  const read = async (file: File) => {
    const document = await jsonFrom(file, what);
    if (document !== undefined) onRead(document);
  };
  return (
    <li>
      <FilePicker
        label={`File of ${what}`}
        accept="application/json,.json"
        className={ENTRY}
        onPick={(file) => void read(file)}
      >
        <FileUp className="h-3.5 w-3.5" aria-hidden="true" /> {text}
      </FilePicker>
    </li>
  );
}
