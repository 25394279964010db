import { counted, describeTerm, elementShape } from '@even-lantern/core';
import { ArrowLeft, ArrowRight, Copy, Split, Trash2 } from 'lucide-react';
import { useState, type FormEvent } from 'react';
import { lanesOfReview, type ReviewLane } from '../../review/lanes.js';
import { useReview } from '../../review/useReview.js';
import { ChoiceMenu } from '../../parts/ChoiceMenu.js';
import { useLaneEdits } from '../../review/useLaneEdits.js';

const FURTHER = 'further';

/** What can be done with a whole lane: its name, where it belongs, whether it is left out, and parting or joining it. */
export function LaneActions({ lane, onSelect }: { lane: ReviewLane; onSelect: (id: string | null) => void }) {
  const { review } = useReview();
  const edits = useLaneEdits();
  const all = lanesOfReview(review);
  const others = all.filter(({ id }) => id !== lane.id);
  const siblings = all.filter(({ element }) => element?.id === lane.element?.id);
  const at = siblings.findIndex(({ id }) => id === lane.id);
  const homes = [
    ...review.elements
      .filter(({ searched, id }) => searched && id !== lane.element?.id)
      .map(({ id, key }) => ({ id, name: elementShape(key).name })),
    ...(lane.element === null ? [] : [{ id: FURTHER, name: 'No element: a further concept' }]),
  ];
  return (
    <section className="flex flex-col gap-3" aria-label="This lane">
      <LaneName lane={lane} />
      <label className="flex cursor-pointer items-start gap-2">
        <input
          type="checkbox"
          className="toggle toggle-sm mt-0.5"
          checked={lane.leftOut}
          onChange={({ target: { checked } }) => void edits.change(lane, { leftOut: checked })}
        />
        <span>
          Leave out what it finds
          <span className="quiet block text-xs">
            Joined with NOT: you lose every record that holds one of these, even if it answers your question.
          </span>
        </span>
      </label>
      <div className="flex flex-wrap gap-2">
        {homes.length > 0 && (
          <ChoiceMenu
            label="Move the lane to another element"
            text="Belongs to …"
            choices={homes}
            onChoose={(id) => void edits.change(lane, { elementId: id === FURTHER ? null : id })}
          />
        )}
        {others.length > 0 && (
          <ChoiceMenu
            label="Join the lane to another"
            text="Join to …"
            choices={others}
            onChoose={(id) => {
              const into = others.find((each) => each.id === id);
              if (into !== undefined) void edits.merge(lane, into).then((done) => done && onSelect(into.id));
            }}
          />
        )}
        <button
          className="btn btn-sm btn-quiet"
          onClick={() => void edits.copy(lane).then((id) => id !== null && onSelect(id))}
        >
          <Copy className="h-4 w-4" aria-hidden="true" /> Copy
        </button>
        {at > 0 && (
          <button
            className="btn btn-sm btn-quiet"
            onClick={() => void edits.change(lane, { before: siblings[at - 1]?.id ?? null })}
          >
            <ArrowLeft className="h-4 w-4" aria-hidden="true" /> Earlier
          </button>
        )}
        {at < siblings.length - 1 && (
          <button
            className="btn btn-sm btn-quiet"
            onClick={() => void edits.change(lane, { before: siblings[at + 2]?.id ?? null })}
          >
            <ArrowRight className="h-4 w-4" aria-hidden="true" /> Later
          </button>
        )}
        <button
          className="btn btn-sm btn-quiet"
          onClick={() => void edits.remove(lane).then((done) => done && onSelect(null))}
        >
          <Trash2 className="h-4 w-4" aria-hidden="true" /> End this lane
        </button>
      </div>
      {lane.terms.length > 1 && <SplitLane key={lane.kept.version} lane={lane} onSelect={onSelect} />}
    </section>
  );
}

/** A name of its own; without one it is called as its element is. */
function LaneName({ lane }: { lane: ReviewLane }) {
  const { change } = useLaneEdits();
  const [draft, setDraft] = useState(lane.kept.name);
  const save = () => {
    if (draft.trim() !== lane.kept.name) void change(lane, { name: draft.trim() });
  };
  return (
    <label className="flex flex-col gap-1">
      <span className="small-head">Its name</span>
      <input
        className="input input-sm w-full"
        value={draft}
        maxLength={300}
        placeholder={lane.name}
        onChange={({ target }) => setDraft(target.value)}
        onBlur={save}
        onKeyDown={(event) => {
          if (event.key === 'Enter') save();
        }}
      />
    </label>
  );
}

/** Two concepts in one OR are the classic mistake: the terms of the second go into a lane of their own. */
function SplitLane({ lane, onSelect }: { lane: ReviewLane; onSelect: (id: string | null) => void }) {
  const { split } = useLaneEdits();
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [name, setName] = useState('');
  const all = chosen.size === lane.terms.length;
  const choose = (id: string) => {
    const next = new Set(chosen);
    if (!next.delete(id)) next.add(id);
    setChosen(next);
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (chosen.size === 0 || all) return;
    void split(lane, name.trim(), [...chosen]).then((id) => id !== null && onSelect(id));
  };
  return (
    <form onSubmit={submit} aria-label="Split the lane">
      <h3 className="small-head">Split: which terms are another concept?</h3>
      <p className="quiet text-xs">
        They move into a lane of their own. From then on a record must match both.
      </p>
      <ul className="flex flex-col pt-1">
        {lane.terms.map(({ id, content }) => (
          <li key={id}>
            <label className="flex cursor-pointer items-baseline gap-2 py-0.5">
              <input
                type="checkbox"
                className="checkbox checkbox-xs translate-y-0.5"
                checked={chosen.has(id)}
                onChange={() => choose(id)}
              />
              <span className={content.kind === 'words' ? 'font-mono text-[0.78125rem]' : ''}>
                {describeTerm(content).text}
              </span>
            </label>
          </li>
        ))}
      </ul>
      <label className="flex flex-col gap-1 pt-1">
        <span className="quiet text-xs">Name of the new lane</span>
        <input
          className="input input-sm w-full"
          value={name}
          maxLength={300}
          onChange={({ target }) => setName(target.value)}
        />
      </label>
      <button className="btn btn-sm btn-quiet mt-2" disabled={chosen.size === 0 || all}>
        <Split className="h-4 w-4" aria-hidden="true" />{' '}
        {chosen.size === 0 ? 'Split off' : `Split off ${counted(chosen.size, 'term')}`}
      </button>
      {all && (
        <p className="quiet text-xs">Leave at least one term; to rename the lane, write its name above.</p>
      )}
    </form>
  );
}
