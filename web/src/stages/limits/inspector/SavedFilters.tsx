import { LONGEST_FILTER_NAME, type OwnWords, type ValuesChosen } from '@even-lantern/core';
import type { SavedFilter } from '@even-lantern/contract';
import { useState } from 'react';
import { toast } from 'sonner';
import { problemOf } from '../../../review/api/api.js';
import { designApi } from '../../../review/api/designApi.js';
import { useUndo } from '../../../review/undo.js';
import { ChoiceMenu } from '../../../parts/ChoiceMenu.js';

interface InLimit {
  values: ValuesChosen;
  onChange: (values: ValuesChosen) => void;
}

/** Filters that somebody saved, those for the chosen designs first. Nothing where there are none. */
export function TakeFilter({ values, onChange }: InLimit) {
  const { data: filters = [] } = designApi.useSavedFiltersQuery();
  if (filters.length === 0) return null;
  const fits = ({ designs }: SavedFilter) => designs.some((design) => values.values.includes(design));
  const inOrder = [...filters.filter(fits), ...filters.filter((filter) => !fits(filter))];
  const take = (id: string) => {
    const filter = filters.find((each) => each.id === id);
    if (filter !== undefined) onChange(taken(values, filter));
  };
  return (
    <ChoiceMenu
      label="Take a saved filter"
      text="Take a saved filter"
      className="btn-xs"
      choices={inOrder.map((filter) => ({
        id: filter.id,
        name: filter.name,
        detail: `${filter.designs.join(', ')}; by ${filter.changedBy}, ${filter.changedAt.slice(0, 10)}`,
      }))}
      onChoose={take}
    />
  );
}

function taken(values: ValuesChosen, filter: SavedFilter): ValuesChosen {
  const { name, designs, words, changedBy, changedAt } = filter;
  return {
    ...values,
    values: values.values.length === 0 ? designs : values.values,
    words: { ...words, from: { name, by: changedBy, date: changedAt.slice(0, 10) } },
  };
}

/** Keeps own words under a name for all reviews, or changes what is kept under it. */
export function SaveFilter({ values, words, onChange }: InLimit & { words: OwnWords }) {
  const { data: filters = [] } = designApi.useSavedFiltersQuery();
  const [save] = designApi.useSaveFilterMutation();
  const [change] = designApi.useChangeFilterMutation();
  const { remember } = useUndo();
  const [name, setName] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const same = filters.find((filter) => sameWords(filter.words, words));
  const { any, without } = words;

  const answered = (result: { data?: SavedFilter; error?: unknown }): SavedFilter | null => {
    if (result.data !== undefined) return result.data;
    const { title, detail } = problemOf(result.error);
    setProblem([title, detail].filter((each) => each !== undefined).join(' '));
    return null;
  };
  const add = async () => {
    const trimmed = name?.trim() ?? '';
    if (trimmed === '') {
      setProblem('Give the filter a name.');
      return;
    }
    const saved = answered(
      await save({ name: trimmed, designs: [...values.values], words: { any, without } }),
    );
    if (saved === null) return;
    setName(null);
    setProblem(null);
    onChange(taken(values, saved));
    toast(`Saved “${saved.name}” for all reviews.`);
  };
  const put = async (filter: SavedFilter, changes: Parameters<typeof change>[0]['change']) => {
    setProblem(null);
    return answered(await change({ id: filter.id, version: filter.version, change: changes }));
  };
  const remove = async (filter: SavedFilter) => {
    const gone = await put(filter, { removed: true });
    if (gone === null) return;
    const { id, version } = gone;
    remember({
      what: `took the filter “${filter.name}” away`,
      undo: { kind: 'take filter away', id, version, removed: false },
      redo: { kind: 'take filter away', id, version, removed: true },
    });
    toast(`Took “${filter.name}” away. Limits keep its words; Ctrl Z brings it back.`);
  };
  const replace = async (filter: SavedFilter) => {
    const changed = await put(filter, { words: { any, without }, designs: [...values.values] });
    if (changed !== null) onChange(taken(values, changed));
  };

  const from = filters.find((filter) => filter.name === words.from?.name);
  return (
    <div className="flex flex-col gap-1">
      {same !== undefined && (
        <p className="text-xs">
          These are the words of “{same.name}”, by {same.changedBy}, {same.changedAt.slice(0, 10)}.{' '}
          <button className="link" onClick={() => void remove(same)}>
            Take that filter away
          </button>
        </p>
      )}
      {same === undefined && name === null && (
        <div className="flex flex-wrap items-center gap-3 text-sm">
          {from !== undefined && (
            <button className="link" onClick={() => void replace(from)}>
              Change “{from.name}” to these words
            </button>
          )}
          <button className="link" onClick={() => setName('')}>
            Save as a filter for all reviews
          </button>
        </div>
      )}
      {name !== null && (
        <form
          className="flex items-center gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            void add();
          }}
        >
          <input
            className="input input-sm min-w-0 flex-1"
            aria-label="Name of the filter"
            placeholder="Its name"
            maxLength={LONGEST_FILTER_NAME}
            autoFocus
            value={name}
            onChange={({ target }) => setName(target.value)}
            onKeyDown={(event) => {
              if (event.key !== 'Escape') return;
              event.stopPropagation();
              setName(null);
              setProblem(null);
            }}
          />
          <button className="btn btn-sm btn-quiet">Save</button>
        </form>
      )}
      {problem !== null && (
        <p className="problem text-xs" role="alert">
          {problem}
        </p>
      )}
    </div>
  );
}

function sameWords(a: SavedFilter['words'], b: OwnWords): boolean {
  return a.any.join('\n') === b.any.join('\n') && a.without.join('\n') === b.without.join('\n');
}
