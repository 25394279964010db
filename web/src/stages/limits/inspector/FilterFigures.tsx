import {
  counted,
  filterFigures,
  LEAST_KNOWN,
  STRENGTH_NAMES,
  type FilterCounts,
  type FilterFigures as Figures,
  type OwnWords,
  type Share,
} from '@even-lantern/core';
import type { DatabaseProfile, FilterFiguresAnswer } from '@even-lantern/contract';
import { useState } from 'react';
import { designApi } from '../../../review/api/designApi.js';
import { useDesigns } from '../../../review/useDesigns.js';
import { useReview } from '../../../review/useReview.js';
import { ChoiceMenu } from '../../../parts/ChoiceMenu.js';
import { GuideLink } from '../../../parts/GuideLink.js';
import { FiguresChart, type How } from './FiguresChart.js';

/** On which records filters are measured. */
const BASES = { shipped: 'all its records', known: 'records of known design', judged: 'records judged here' };
type Basis = keyof typeof BASES;

interface Measured {
  measuredOn: string;
  figures: { how: How; counts: FilterCounts }[];
}

/** How well labels and words find a design in a database: as it was measured, and as own words and own judgements do now. */
export function FilterFigures({
  database,
  designs,
  words,
  chosen,
}: {
  database: DatabaseProfile;
  /** any of which is wanted */
  designs: readonly string[];
  /** words of one’s own, measured as they stand */
  words: OwnWords | undefined;
  /** what is applied now; null for what cannot be measured */
  chosen: How | null;
}) {
  const { review } = useReview();
  const [chosenBasis, setChosenBasis] = useState<Basis | null>(null);
  const shipped = useShipped(database.id, designs);
  const named = designs.length === 1 ? (designs[0] ?? '') : `Any of ${designs.length} designs`;
  const { data, isFetching } = designApi.useFilterFiguresQuery({
    review: review.id,
    body: { database: database.id, designs: [...designs], ...(words === undefined ? {} : { words }) },
  });
  const there: Partial<Record<Basis, Measured>> = {
    ...(shipped === null ? {} : { shipped }),
    ...(data?.known == null ? {} : { known: data.known }),
    ...(data?.judged == null ? {} : { judged: data.judged }),
  };
  const bases = (Object.keys(BASES) as Basis[]).filter((basis) => there[basis] !== undefined);
  const preferred: Basis = words !== undefined && there.known !== undefined ? 'known' : 'shipped';
  const basis = chosenBasis !== null && there[chosenBasis] !== undefined ? chosenBasis : preferred;
  const measured = there[basis] ?? there.judged;
  return (
    <section className="flex flex-col gap-1" aria-busy={isFetching}>
      <h3 className="small-head">
        {named}: found, against read for each one{' '}
        <GuideLink to="limits#study-design" label="Why: how filters are measured, in the guide">
          why
        </GuideLink>
      </h3>
      {bases.length > 1 && (
        <ChoiceMenu
          label="Records that filters are measured on"
          text={`Measured on ${BASES[basis]}`}
          className="btn-xs self-start"
          choices={bases.map((id) => ({ id, name: BASES[id], detail: there[id]?.measuredOn ?? '' }))}
          chosen={basis}
          onChoose={(id) => setChosenBasis(id as Basis)}
        />
      )}
      {measured === undefined ? (
        <p className="quiet text-xs">
          {isFetching ? 'Measuring …' : 'How well it finds them here has not been measured.'}
        </p>
      ) : (
        <Drawn measured={measured} chosen={chosen} />
      )}
      {data?.trouble != null && (
        <p className="problem text-xs">Your words could not be measured: {data.trouble}</p>
      )}
      {data !== undefined && <OnJudged answer={data} />}
    </section>
  );
}

/** What was measured of a design; of several together nothing was. */
function useShipped(database: string, ofDesigns: readonly string[]): Measured | null {
  const designs = useDesigns();
  const [design] = ofDesigns;
  if (ofDesigns.length !== 1) return null;
  const figures = (designs?.figures ?? []).filter(
    (each) => each.database === database && each.design === design,
  );
  const [first] = figures;
  return first === undefined ? null : { measuredOn: first.measuredOn, figures };
}

/** How far the judgements of the review are from measuring on them; nothing where nobody judged, or there are enough. */
function OnJudged({ answer: { judged, judgedRecords } }: { answer: FilterFiguresAnswer }) {
  const { ofDesign, others } = judgedRecords;
  if (judged !== null || ofDesign + others === 0) return null;
  return (
    <p className="quiet text-xs">
      Judged here so far: {counted(ofDesign, 'record')} of it, {others} of other designs. From {LEAST_KNOWN}{' '}
      of each on, filters are measured on them too.
    </p>
  );
}

/** What is found against what is read for it, drawn and in figures. */
function Drawn({ measured: { measuredOn, figures }, chosen }: { measured: Measured; chosen: How | null }) {
  const points = figures.flatMap(({ how, counts }) => {
    const of = filterFigures(counts);
    return of.sensitivity === null ? [] : [{ how, figures: of }];
  });
  return (
    <>
      <FiguresChart points={points} chosen={chosen} />
      <table className="w-full text-[0.6875rem] [&_td]:whitespace-nowrap">
        <thead className="text-left">
          <tr className="quiet">
            <th scope="col" className="font-normal">
              95% intervals
            </th>
            <th scope="col" className="text-right font-normal">
              found
            </th>
            <th scope="col" className="text-right font-normal">
              right
            </th>
            <th scope="col" className="text-right font-normal">
              to read
            </th>
          </tr>
        </thead>
        <tbody>
          {points.map(({ how, figures }) => (
            <tr key={how} className={how === chosen ? 'font-bold' : ''}>
              <th scope="row" className={`text-left ${how === chosen ? '' : 'font-normal'}`}>
                {nameOf(how)}
              </th>
              <td className="text-right">{percentText(figures.sensitivity)}</td>
              <td className="text-right">{percentText(figures.precision)}</td>
              <td className="count">{toReadText(figures)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="quiet text-xs">Measured on {measuredOn}.</p>
    </>
  );
}

function nameOf(how: How): string {
  if (how === 'own limit') return how;
  return how === 'own words' ? 'your words' : STRENGTH_NAMES[how].replace('finds ', '');
}

function percentText(share: Share | null): string {
  if (share === null) return '–';
  const whole = (part: number) => Math.round(100 * part);
  return `${whole(share.value)}% (${whole(share.from)}–${whole(share.to)})`;
}

function toReadText({ toRead }: Figures): string {
  return toRead === null ? '–' : toRead.value.toFixed(1);
}
