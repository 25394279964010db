import { MATCHABLE_KINDS, type MatchedLimit, type ServerIndex } from '@even-lantern/core';

interface MatchLimitsProps {
  limits: readonly MatchedLimit[];
  /** what the server says it has; null where names are written by hand */
  indexes: readonly ServerIndex[] | null;
  onChange: (limits: MatchedLimit[]) => void;
}

/** Which of its own limits a database has, so that limits of a review are applied by them. */
export function MatchLimits({ limits, indexes, onChange }: MatchLimitsProps) {
  const change = (kind: string, part: Partial<MatchedLimit>) => {
    const before = limits.find((each) => each.kind === kind) ?? { kind, name: '', values: [] };
    const next = { ...before, ...part };
    const others = limits.filter((each) => each.kind !== kind);
    onChange(next.name === '' ? others : [...others, next]);
  };
  return (
    <details className="rule rounded-box border px-3 py-2">
      <summary className="cursor-pointer">
        Limits of its own: {limits.length === 0 ? 'none' : limits.map(({ kind }) => nameOf(kind)).join(', ')}
      </summary>
      <p className="quiet py-2 text-sm">
        The database itself applies a limit that you match here. List its values if you know all of them;
        otherwise they are sent as you type them.
      </p>
      <div className="grid gap-x-8 gap-y-1.5 md:grid-cols-2">
        {MATCHABLE_KINDS.map(({ id, name }) => {
          const matched = limits.find((each) => each.kind === id);
          return (
            <div key={id} className="flex flex-col gap-1">
              <label className="grid grid-cols-[11rem_minmax(0,1fr)] items-center gap-2">
                <span>{name}</span>
                {indexes === null ? (
                  <input
                    className="input input-sm min-w-0 font-mono"
                    value={matched?.name ?? ''}
                    placeholder="it has none"
                    maxLength={80}
                    onChange={({ target }) => change(id, { name: target.value.trim() })}
                  />
                ) : (
                  <select
                    className="select select-sm w-full"
                    value={matched?.name ?? ''}
                    onChange={({ target }) => change(id, { name: target.value })}
                  >
                    <option value="">it has none</option>
                    {indexes.map((index) => (
                      <option key={index.name} value={index.name}>
                        {index.name} · {index.title}
                      </option>
                    ))}
                  </select>
                )}
              </label>
              {matched !== undefined && (
                <input
                  className="input input-sm"
                  aria-label={`All values of ${name}, separated by semicolons`}
                  placeholder="its values, separated by semicolons"
                  defaultValue={matched.values.join('; ')}
                  onBlur={({ target }) => change(id, { values: valuesOf(target.value) })}
                />
              )}
            </div>
          );
        })}
      </div>
    </details>
  );
}

function nameOf(kind: string): string {
  return MATCHABLE_KINDS.find(({ id }) => id === kind)?.name ?? kind;
}

function valuesOf(text: string): string[] {
  return [...new Set(text.split(';').map((value) => value.trim()))].filter((value) => value !== '');
}
