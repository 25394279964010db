import { elementShape, formatCount, type TermContent } from '@even-lantern/core';
import type { Overview as OverviewAnswer } from '@even-lantern/contract';
import { useState } from 'react';
import { toast } from 'sonner';
import { api, problemOf } from '../../app/api.js';
import { lanesOfReview } from '../../app/lanes.js';
import { useReview } from '../../app/useReview.js';
import { ChoiceMenu } from '../../parts/ChoiceMenu.js';
import { LineForm } from '../../parts/LineForm.js';
import { Values } from '../../parts/Values.js';
import { Years } from '../../parts/Years.js';
import { headingContent, wordsContent } from '../concepts/headingContent.js';
import { useTermEdits } from '../concepts/useTermEdits.js';

/** Scan a broad text in the database, to see the lay of the land; what is found can be taken into the question. */
export function Overview() {
  const { database } = useReview();
  const [text, setText] = useState('');
  const { currentData, error, isFetching } = api.useOverviewQuery(
    { database: database?.id ?? '', text },
    { skip: text === '' || database === null },
  );
  return (
    <section aria-label="Scan" className="rule flex flex-col gap-3 border-t pt-4 pb-8">
      <div>
        <h2 className="font-bold">See the lay of the land</h2>
        <p className="quiet">
          Scan a broad text: what years, kinds of study, headings and authors’ words there are in{' '}
          {database?.name ?? 'the database'}.
        </p>
      </div>
      <div className="max-w-xl">
        <LineForm
          label="Scan for records with all of these words"
          button="Scan"
          placeholder="such as: light night nurses"
          problem={error === undefined || text === '' ? null : problemOf(error)}
          onSubmit={(typed) => setText(typed.trim())}
        />
      </div>
      {isFetching && <p className="quiet">Scanning …</p>}
      {currentData !== undefined && text !== '' && <Land found={currentData} />}
    </section>
  );
}

function Land({ found }: { found: OverviewAnswer }) {
  const { database } = useReview();
  const vocabulary = database?.vocabulary?.id ?? '';
  return (
    <>
      <p>
        <b>{formatCount(found.hits)}</b> records hold all of “{found.text}”.
      </p>
      {found.hits > 0 && (
        <div className="gap-6 md:columns-2 [&>section]:mb-5 [&>section]:break-inside-avoid">
          <Years years={found.years} />
          <Values
            name="Kinds of publication and design"
            values={found.kinds}
            of={found.hits}
            action={(kind) => <TakeInto value={kind} content={null} />}
          />
          <Values
            name="Most frequent headings"
            values={found.headings}
            of={found.hits}
            action={(label) => <TakeInto value={label} content={headingContent(vocabulary, label)} />}
          />
          <Values
            name="Authors’ own keywords"
            values={found.keywords}
            of={found.hits}
            action={(word) => (
              <TakeInto value={word} content={wordsContent(word.includes(' ') ? `"${word}"` : word)} />
            )}
          />
        </div>
      )}
    </>
  );
}

/** Takes what was found into an element's text or, where it can be searched, into its lane. */
function TakeInto({ value, content }: { value: string; content: TermContent | null }) {
  const { review } = useReview();
  const { add } = useTermEdits();
  const [changeElement] = api.useChangeElementMutation();
  const lanes = lanesOfReview(review);
  const take = async (chosen: string) => {
    const [where, id] = chosen.split(' ');
    const lane = lanes.find((each) => each.id === id);
    if (where === 'lane' && lane !== undefined && content !== null) {
      const failed = await add(lane.id, content, 'proposed');
      if (failed === null) toast(`Added ${value} to the lane ${lane.name}.`);
      else toast.error(failed);
      return;
    }
    const element = review.elements.find((each) => each.id === id);
    if (element === undefined) return;
    const { name } = elementShape(element.key);
    const text = element.text.trim() === '' ? value : `${element.text.trim()}, ${value}`;
    const { version } = element;
    const result = await changeElement({ reviewId: review.id, id: element.id, version, change: { text } });
    if (result.data === undefined) toast.error(problemOf(result.error).title);
    else toast(`Wrote ${value} into ${name.toLowerCase()}.`);
  };
  const toLanes = lanes.map(({ id, name }) => ({ id: `lane ${id}`, name, group: 'A lane' }));
  const texts = review.elements.map(({ id, key }) => ({
    id: `text ${id}`,
    name: elementShape(key).name,
    group: 'The question',
  }));
  return (
    <ChoiceMenu
      label={`Take ${value} into`}
      text="Take into"
      className="btn-xs"
      side="right"
      choices={[...(content === null ? [] : toLanes), ...texts]}
      onChoose={(chosen) => void take(chosen)}
    />
  );
}
