import {
  dialectFrom,
  NAMED,
  type DialectDescription,
  type Lack,
  type Named,
  type Query,
  type ServerIndex,
} from '@even-lantern/core';
import { OwnString } from '../../parts/OwnString.js';

const NAMED_LABELS: Readonly<Record<Named, string>> = {
  words: 'Title, abstract, keywords',
  title: 'Title',
  abstract: 'Abstract',
  keywords: 'Author keywords',
  headings: 'Words within headings',
  author: 'Author',
  journal: 'Journal',
  fulltext: 'Full text',
  heading: 'Headings',
  year: 'Year',
};

const LACK_LABELS: Readonly<Record<Lack, string>> = {
  endings: 'words with any ending (*)',
  'one letter': 'one unknown letter (?)',
  near: 'words near each other',
  narrower: 'a heading with all that lie below it',
  central: 'that a heading is central',
  subheadings: 'subheadings',
};

const word = (text: string, anyEnding = false) => ({ text, anyEnding });

/** A strategy with a bit of everything, so that a person sees at once how a database would get it. */
const EXAMPLE: Query = {
  kind: 'and',
  operands: [
    {
      kind: 'or',
      operands: [
        { kind: 'words', field: 'words', phrase: [word('night'), word('shift', true)] },
        { kind: 'words', field: 'title', phrase: [word('nightwork')] },
        {
          kind: 'heading',
          vocabulary: '',
          label: 'Shift work',
          narrower: true,
          central: false,
          subheadings: [],
        },
      ],
    },
    {
      kind: 'near',
      parts: [word('bright'), word('light')].map((each) => ({
        kind: 'words',
        field: 'words',
        phrase: [each],
      })),
      distance: 3,
      ordered: false,
    },
    { kind: 'limit', field: 'year', from: 2005, to: 2026 },
  ],
};

interface DescribeDialectProps {
  dialect: DialectDescription;
  /** what the server says it has; null where names are written by hand */
  indexes: readonly ServerIndex[] | null;
  /** whether its headings are of a vocabulary that is known here */
  hasVocabulary: boolean;
  onChange: (dialect: DialectDescription) => void;
}

/** What a database calls our fields and what it cannot be told, with an example that follows every change. */
export function DescribeDialect({ dialect, indexes, hasVocabulary, onChange }: DescribeDialectProps) {
  const plain = dialectFrom({ ...dialect, names: {}, lacks: [] });
  const described = dialectFrom(dialect);
  const { text, losses } = described.print(EXAMPLE, {
    vocabulary: hasVocabulary ? '' : null,
    limitFields: [],
    narrowerOf: () => ['Night work'],
  });
  const hasHeadings = hasVocabulary && described.names.heading !== null;
  const fields = NAMED.filter(
    (named) => (named !== 'heading' || hasVocabulary) && isOffered(named, plain, indexes),
  );
  const rename = (named: Named, name: string | null) =>
    onChange({ ...dialect, names: { ...dialect.names, [named]: name } });
  return (
    <div className="grid gap-x-8 gap-y-4 md:grid-cols-2">
      <fieldset className="flex flex-col gap-1.5">
        <legend className="small-head pb-1">What it calls what is searched</legend>
        {fields.map((named) => (
          <div key={named} className="grid grid-cols-[11rem_minmax(0,1fr)] items-center gap-2">
            <label htmlFor={`name-${named}`}>{NAMED_LABELS[named]}</label>
            {indexes === null ? (
              <OwnName
                id={`name-${named}`}
                label={NAMED_LABELS[named]}
                standard={plain.names[named] ?? ''}
                name={described.names[named]}
                needed={named === 'words'}
                onChange={(name) => rename(named, name)}
              />
            ) : (
              <select
                id={`name-${named}`}
                className="select select-sm w-full"
                value={described.names[named] ?? ''}
                onChange={({ target }) => rename(named, target.value === '' ? null : target.value)}
              >
                {named === 'words' ? (
                  <option value="cql.serverChoice">left to the server</option>
                ) : (
                  <option value="">it has none</option>
                )}
                {indexes.map(({ name, title }) => (
                  <option key={name} value={name}>
                    {name} · {title}
                  </option>
                ))}
              </select>
            )}
          </div>
        ))}
      </fieldset>
      <div className="flex flex-col gap-4">
        <fieldset className="flex flex-col gap-1">
          <legend className="small-head pb-1">What it cannot express</legend>
          {(Object.keys(LACK_LABELS) as Lack[])
            .filter((lack) => canDo(plain, lack, hasHeadings))
            .map((lack) => (
              <label key={lack} className="flex cursor-pointer items-center gap-2">
                <input
                  type="checkbox"
                  className="checkbox checkbox-xs"
                  checked={dialect.lacks.includes(lack)}
                  onChange={({ target }) =>
                    onChange({
                      ...dialect,
                      lacks: target.checked
                        ? [...dialect.lacks, lack]
                        : dialect.lacks.filter((each) => each !== lack),
                    })
                  }
                />
                {LACK_LABELS[lack]}
              </label>
            ))}
        </fieldset>
        <section aria-label="An example" className="flex flex-col gap-1">
          <h3 className="small-head">So an example reads there</h3>
          <pre
            data-testid="example"
            className="rule bg-base-100 rounded-box border p-3 font-mono text-[0.78125rem] leading-6 break-words whitespace-pre-wrap"
          >
            <OwnString text={text} losses={losses} />
          </pre>
          {losses.length > 0 && (
            <p className="quiet text-sm">
              Underlined text replaces what the database cannot express; a dotted line means that it finds the
              same.
            </p>
          )}
        </section>
      </div>
    </div>
  );
}

type Described = ReturnType<typeof dialectFrom>;

/** A kind may have no such field at all. */
function isOffered(named: Named, plain: Described, indexes: readonly ServerIndex[] | null): boolean {
  return indexes !== null || (plain.names[named] !== null && plain.names[named] !== '');
}

function canDo(
  { abilities: { near, anyEnding, oneLetter, headings } }: Described,
  lack: Lack,
  hasHeadings: boolean,
): boolean {
  if (lack === 'near') return near !== null;
  if (lack === 'endings') return anyEnding;
  if (lack === 'one letter') return oneLetter;
  return hasHeadings && (headings === null || headings[lack]);
}

interface OwnNameProps {
  id: string;
  label: string;
  standard: string;
  name: string | null;
  needed: boolean;
  onChange: (name: string | null) => void;
}

function OwnName({ id, label, standard, name, needed, onChange }: OwnNameProps) {
  return (
    <span className="flex items-center gap-3">
      <input
        id={id}
        className="input input-sm min-w-0 flex-1 font-mono"
        value={name ?? ''}
        placeholder={name === null ? '' : standard}
        disabled={name === null}
        maxLength={80}
        onChange={({ target }) => onChange(target.value.trim() === '' ? standard : target.value.trim())}
      />
      {!needed && (
        <label className="quiet flex cursor-pointer items-center gap-1.5 text-sm">
          <input
            type="checkbox"
            className="checkbox checkbox-xs"
            aria-label={`It has no field for ${label.toLowerCase()}`}
            checked={name === null}
            onChange={({ target }) => onChange(target.checked ? null : standard)}
          />
          none
        </label>
      )}
    </span>
  );
}
