import { FILE_ENCODINGS, type FileEncoding, type FileEncodingName } from '@even-lantern/contract';
import { ChoiceMenu } from './ChoiceMenu.js';

const HOW: Readonly<Record<FileEncoding['how'], string>> = {
  mark: 'as its first bytes say',
  declaration: 'as it says itself',
  utf8: 'since all of it is valid',
  letters: 'guessed from its letters',
  person: 'as you said',
};

interface FileEncodingNoteProps {
  encoding: FileEncoding;
  /** reads the file again; left out where it has been taken in already */
  onChoose?: (name: FileEncodingName) => void;
}

/** In which encoding a file was read; where letters look wrong, it can be read in another. */
export function FileEncodingNote({ encoding: { name, how }, onChoose }: FileEncodingNoteProps) {
  const chosen = FILE_ENCODINGS.find((each) => each === name);
  return (
    <div className="quiet flex flex-wrap items-center gap-2 text-sm">
      <span>
        Read as {name}, {HOW[how]}.
      </span>
      {onChoose !== undefined && (
        <EncodingMenu {...(chosen === undefined ? {} : { chosen })} onChoose={onChoose} />
      )}
    </div>
  );
}

/** Reads a file again in another encoding. */
export function EncodingMenu({
  chosen,
  onChoose,
}: {
  chosen?: FileEncodingName;
  onChoose: (name: FileEncodingName) => void;
}) {
  return (
    <ChoiceMenu
      label="Encoding of the file"
      text="Letters look wrong?"
      className="btn-xs"
      up
      {...(chosen === undefined ? {} : { chosen })}
      choices={FILE_ENCODINGS.map((each) => ({ id: each, name: each }))}
      onChoose={(id) => {
        const next = FILE_ENCODINGS.find((each) => each === id);
        if (next !== undefined) onChoose(next);
      }}
    />
  );
}
