import { allNarrower, directlyBelow, headingByLabel, type Heading } from '@even-lantern/core';
import type { TermCount } from '@even-lantern/contract';
import { useId } from 'react';
import { useCandidates } from '../../review/useCandidates.js';
import { useVocabulary } from '../../review/useVocabulary.js';
import type { HeadingContent } from '../../review/headingContent.js';
import { Numbers } from '../../review/Numbers.js';

interface HeadingOptionsProps {
  termId: string;
  laneId: string;
  content: HeadingContent;
  onChange: (content: HeadingContent) => void;
}

/** How a heading is searched. The effect of each choice stands beside it before it is made. */
export function HeadingOptions({ termId, laneId, content, onChange }: HeadingOptionsProps) {
  const tree = useVocabulary(content.vocabulary);
  const heading = tree === null ? null : headingByLabel(tree, content.label);
  const below = tree === null || heading === null ? [] : directlyBelow(tree, heading);
  const chosen = Array.isArray(content.narrower) ? content.narrower : null;
  const choices = [
    { ...content, narrower: true },
    { ...content, narrower: false },
    { ...content, central: !content.central },
    ...below.map(({ label }) => ({ ...content, narrower: toggled(chosen ?? [], label) })),
    ...(heading?.subheadings ?? []).map((name) => ({
      ...content,
      subheadings: toggled(content.subheadings, name),
    })),
  ];
  const { counts } = useCandidates(choices, { laneId, instead: termId });
  const [all, alone, central, ...others] = counts ?? [];
  const name = useId();
  return (
    <fieldset className="flex flex-col gap-1">
      <legend className="small-head w-full pb-1">
        <span className="flex justify-between">
          <span>How it is searched</span>
          <span>would find</span>
        </span>
      </legend>
      {below.length > 0 && (
        <>
          <Choice
            name={name}
            type="radio"
            label={`with all ${tree === null ? '' : (allNarrower(tree, content.label)?.length ?? '')} narrower`}
            checked={content.narrower === true}
            count={all}
            onChange={() => onChange({ ...content, narrower: true })}
          />
          <Choice
            name={name}
            type="radio"
            label="with some of the narrower"
            checked={chosen !== null}
            onChange={() => onChange({ ...content, narrower: below.map(({ label }) => label) })}
          />
          {chosen !== null && (
            <NarrowerList
              below={below}
              chosen={chosen}
              counts={others}
              onToggle={(label) => onChange({ ...content, narrower: toggled(chosen, label) })}
            />
          )}
          <Choice
            name={name}
            type="radio"
            label="this heading alone"
            checked={content.narrower === false}
            count={alone}
            onChange={() => onChange({ ...content, narrower: false })}
          />
        </>
      )}
      <Choice
        type="checkbox"
        label="central"
        checked={content.central}
        count={central}
        onChange={() => onChange({ ...content, central: !content.central })}
      />
      {heading !== null && heading.subheadings.length > 0 && (
        <details>
          <summary className="cursor-pointer">
            {content.subheadings.length === 0
              ? 'any subheading or none'
              : `subheading ${content.subheadings.join(' or ')}`}
          </summary>
          <div className="flex flex-col gap-1 pt-1 pl-4">
            {heading.subheadings.map((subheading, i) => (
              <Choice
                key={subheading}
                type="checkbox"
                label={subheading}
                checked={content.subheadings.includes(subheading)}
                count={others[below.length + i]}
                onChange={() =>
                  onChange({ ...content, subheadings: toggled(content.subheadings, subheading) })
                }
              />
            ))}
          </div>
        </details>
      )}
    </fieldset>
  );
}

function NarrowerList({
  below,
  chosen,
  counts,
  onToggle,
}: {
  below: readonly Heading[];
  chosen: readonly string[];
  counts: readonly TermCount[];
  onToggle: (label: string) => void;
}) {
  return (
    <div role="group" aria-label="Narrower headings" className="flex flex-col gap-1 pl-6">
      {below.map(({ label }, i) => (
        <Choice
          key={label}
          type="checkbox"
          label={label}
          checked={chosen.includes(label)}
          count={counts[i]}
          onChange={() => onToggle(label)}
        />
      ))}
      <p className="quiet text-xs">
        Each with what lies below it. The number is the whole term’s after the change.
      </p>
    </div>
  );
}

interface ChoiceProps {
  type: 'checkbox' | 'radio';
  name?: string;
  label: string;
  checked: boolean;
  count?: TermCount;
  onChange: () => void;
}

function Choice({ type, name, label, checked, count, onChange }: ChoiceProps) {
  return (
    <label className="flex items-center gap-2">
      <input
        type={type}
        name={name}
        className={type === 'radio' ? 'radio radio-sm' : 'checkbox checkbox-sm'}
        checked={checked}
        onChange={onChange}
      />
      <span className="flex-1">{label}</span>
      {count !== undefined && !(type === 'radio' && checked) && <Numbers count={{ ...count, adds: null }} />}
    </label>
  );
}

function toggled(list: readonly string[], item: string): string[] {
  return list.includes(item) ? list.filter((each) => each !== item) : [...list, item];
}
