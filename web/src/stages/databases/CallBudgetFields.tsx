import type { CallBudget, DatabaseProfile } from '@even-lantern/contract';
import { useState, type FormEvent } from 'react';
import { toast } from 'sonner';
import { databaseApi } from '../../review/api/databaseApi.js';
import { problemOf } from '../../review/api/api.js';
import { useUndo } from '../../review/undo.js';
import { GuideLink } from '../../parts/GuideLink.js';

interface CallBudgetFieldsProps {
  /** NaN where nothing that is a number is written */
  budget: CallBudget;
  onChange: (budget: CallBudget) => void;
}

/** How many calls may be under way at once, and begun in a second. */
export function CallBudgetFields({ budget: { atOnce, perSecond }, onChange }: CallBudgetFieldsProps) {
  const field = 'input input-sm w-24 text-right';
  const shown = (value: number | null) => (value === null || Number.isNaN(value) ? '' : value);
  return (
    <div className="flex flex-wrap gap-x-6 gap-y-2">
      <label className="flex flex-col gap-1">
        <span className="small-head">Calls at once</span>
        <input
          type="number"
          className={field}
          min={1}
          max={100}
          required
          value={shown(atOnce)}
          onChange={({ target }) => onChange({ atOnce: target.valueAsNumber, perSecond })}
        />
      </label>
      <label className="flex flex-col gap-1">
        <span className="small-head">Calls in a second</span>
        <input
          type="number"
          className={field}
          min={1}
          max={100}
          placeholder="no bound"
          value={shown(perSecond)}
          onChange={({ target }) =>
            onChange({ atOnce, perSecond: target.value === '' ? null : target.valueAsNumber })
          }
        />
      </label>
    </div>
  );
}

/** How much a database may be asked, to be changed. */
export function CallBudgetForm({ database: { id, name, budget } }: { database: DatabaseProfile }) {
  const [change, { isLoading, error }] = databaseApi.useChangeBudgetMutation();
  const { remember } = useUndo();
  const [draft, setDraft] = useState<CallBudget | null>(null);
  if (budget === null) return null;
  const shown = draft ?? budget;
  const changed = shown.atOnce !== budget.atOnce || shown.perSecond !== budget.perSecond;
  const save = async (event: FormEvent) => {
    event.preventDefault();
    const answer = await change({ id, budget: shown });
    if (answer.error !== undefined) return;
    setDraft(null);
    const put = (kept: CallBudget) => ({ kind: 'budget calls', database: id, budget: kept }) as const;
    remember({ what: `changed how much ${name} may be asked`, undo: put(budget), redo: put(shown) });
    toast(`${name} is asked no more than that from now on.`);
  };
  return (
    <section aria-label="How much it may be asked" className="rule flex flex-col gap-2 border-t pt-4">
      <h2 className="font-bold">
        How much it may be asked{' '}
        <span className="text-xs font-normal">
          <GuideLink
            to="databases#how-much-a-database-may-be-asked"
            label="Why databases are asked only so much"
          >
            why
          </GuideLink>
        </span>
      </h2>
      <form className="flex flex-wrap items-end gap-x-6 gap-y-2" onSubmit={(event) => void save(event)}>
        <CallBudgetFields budget={shown} onChange={setDraft} />
        <button className="btn btn-sm btn-quiet" disabled={!changed || isLoading}>
          Save
        </button>
      </form>
      {error !== undefined && <p className="problem text-sm">{problemOf(error).title}</p>}
      <p className="quiet text-sm">
        Each count of a line is one call. Counts beyond this wait until you ask for them.
      </p>
    </section>
  );
}
