import { likelyDesigns, type LikelyDesign, type Sign } from '@even-lantern/core';
import type { ReviewRecord } from '@even-lantern/contract';
import { format } from 'date-fns';
import { useMemo } from 'react';
import { toast } from 'sonner';
import { problemOf } from '../../review/api/api.js';
import { designApi } from '../../review/api/designApi.js';
import { useUndo } from '../../review/undo.js';
import { useDesigns } from '../../review/useDesigns.js';
import { ChoiceMenu } from '../../parts/ChoiceMenu.js';
import { GuideLink } from '../../parts/GuideLink.js';

const SHOWN_SIGNS = 8;

/** What kind of study a record tells of: as a person judged it, or as its words make likely, with those words. */
export function DesignOfRecord({ record: { id, record, judged } }: { record: ReviewRecord }) {
  const designs = useDesigns();
  const [judge] = designApi.useJudgeDesignMutation();
  const { remember } = useUndo();
  const likely = useMemo(
    () => (designs === null ? [] : likelyDesigns(record, designs.rules, designs.tree)),
    [record, designs],
  );
  if (designs === null) return null;
  const [first, ...others] = likely;
  const before = judged?.design ?? null;
  const say = async (design: string | null) => {
    const result = await judge({ id, design });
    if (result.error !== undefined) {
      toast.error(problemOf(result.error).title);
      return;
    }
    const doing = { kind: 'judge design', record: id } as const;
    const what = design === null ? 'took back a design' : `judged the design to be ${design}`;
    remember({
      what,
      undo: { ...doing, from: design, to: before },
      redo: { ...doing, from: before, to: design },
    });
  };
  return (
    <section aria-label="Study design" className="flex flex-col gap-1">
      <div className="flex flex-wrap items-baseline gap-x-3 gap-y-1">
        <h3 className="small-head">Study design</h3>
        {judged !== null ? (
          <span>
            <b title={designs.definitionOf(judged.design)}>{judged.design}</b>{' '}
            <span className="quiet text-xs">
              judged by {judged.person}, {format(new Date(judged.at), 'd MMM yyyy')}
            </span>
          </span>
        ) : first === undefined ? (
          <span className="quiet">Its words tell of none.</span>
        ) : (
          <span>
            likely <b title={designs.definitionOf(first.design)}>{first.design}</b>{' '}
            <span className="quiet text-xs">
              {sureness(first)}{' '}
              <GuideLink
                to="records#study-design"
                label="Why: how the program works out the design of a record, in the guide"
              >
                why
              </GuideLink>
            </span>
          </span>
        )}
        <span className="ml-auto flex items-center gap-2">
          {judged !== null && (
            <button className="btn btn-xs btn-ghost" onClick={() => void say(null)}>
              Take back
            </button>
          )}
          {judged === null && first !== undefined && (
            <button className="btn btn-xs btn-quiet" onClick={() => void say(first.design)}>
              That is right
            </button>
          )}
          <ChoiceMenu
            label="Judge the study design"
            text="It is …"
            className="btn-xs"
            side="right"
            {...(judged === null ? {} : { chosen: judged.design })}
            choices={designs.groups.flatMap(({ group, designs: each }) =>
              each.map(({ label, scopeNote }) => ({ id: label, name: label, group, detail: scopeNote })),
            )}
            onChoose={(design) => void say(design)}
          />
        </span>
      </div>
      {notesOn(record).map((note) => (
        <p key={note} className="text-xs">
          {note}
        </p>
      ))}
      {first !== undefined && (
        <p className="text-xs">
          <Signs name="for it" signs={first.for} />
          {first.against.length > 0 && <Signs name="against it" signs={first.against} />}
          {others.length > 0 && (
            <span className="quiet">Less likely: {others.map(({ design }) => design).join(', ')}.</span>
          )}
        </p>
      )}
    </section>
  );
}

/** States of a review, as databases that tell them call them. */
const STAGES: Readonly<Record<string, string>> = {
  protocol: 'A protocol: the review has no results yet.',
  full: 'A complete review.',
  updated: 'A review that has been updated.',
};

/** What the database tells that bears on how a study can be used. */
function notesOn({ limits }: ReviewRecord['record']): string[] {
  const { country = [], stage = [], kind = [] } = limits;
  return [
    ...stage.flatMap((each) => STAGES[each] ?? []),
    ...(kind.includes('review from elsewhere')
      ? ['A review from elsewhere, without this database’s oversight.']
      : []),
    ...(country.length > 0
      ? [`It holds for ${country.join(', ')}: prices and services elsewhere may differ.`]
      : []),
  ];
}

function Signs({ name, signs }: { name: string; signs: readonly Sign[] }) {
  const words = [...new Set(signs.map((sign) => sign.words.toLowerCase()))];
  return (
    <span className="pr-2">
      <span className="quiet">{name}: </span>
      {words.slice(0, SHOWN_SIGNS).map((each, i) => (
        <span key={each}>
          {i > 0 && ', '}“{each}”
        </span>
      ))}
      {words.length > SHOWN_SIGNS && ` and ${words.length - SHOWN_SIGNS} more`}
    </span>
  );
}

function sureness({ sure }: LikelyDesign): string {
  if (sure >= 0.9) return 'very sure';
  if (sure >= 0.7) return 'fairly sure';
  return 'not sure';
}
