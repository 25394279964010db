import { elementShape, formatCount, type TermContent } from '@even-lantern/core';
import type { Overview as OverviewAnswer } from '@even-lantern/contract';
import { useState } from 'react';
import { toast } from 'sonner';
import { problemOf } from '../../review/api/api.js';
import { questionApi } from '../../review/api/questionApi.js';
import { databaseApi } from '../../review/api/databaseApi.js';
import { lanesOfReview } from '../../review/lanes.js';
import { useShelf } from '../../review/useShelf.js';
import { useEdit } from '../../review/useEdit.js';
import { useReview } from '../../review/useReview.js';
import { ChoiceMenu } from '../../parts/ChoiceMenu.js';
import { LineForm } from '../../parts/LineForm.js';
import { Values } from '../../parts/Values.js';
import { Years } from '../../parts/Years.js';
import { headingContent, wordsContent } from '../../review/headingContent.js';
import { useTermEdits } from '../../review/useTermEdits.js';

const OFFERED = 8;

/** Scan a broad text in the database, to see the lay of the land; what is found can be taken into the question. */
export function Overview({
  wide = false,
  offered = [],
}: {
  /** whether it has the width of the page */
  wide?: boolean;
  /** texts that may be worth a scan */
  offered?: readonly string[];
}) {
  const { database } = useReview();
  const [text, setText] = useState('');
  const { currentData, error, isFetching } = databaseApi.useOverviewQuery(
    { database: database?.id ?? '', text },
    { skip: text === '' || database === null },
  );
  return (
    <section aria-label="Scan" className="flex flex-col gap-3">
      <div>
        <h2 className="font-bold">See the lay of the land</h2>
        <p className="quiet">
          {wide
            ? `Only a vague topic yet? Scan it first: what years, kinds of study, headings and authors’ words there are in ${database?.name ?? 'the database'}.`
            : 'What there is, before you decide what to ask.'}
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
      {offered.length > 0 && text === '' && (
        <ul aria-label="Scan for" className="flex flex-wrap gap-1.5">
          {[...new Set(offered)].slice(0, OFFERED).map((each) => (
            <li key={each}>
              <button className="btn btn-xs btn-quiet max-w-64" onClick={() => setText(each)}>
                <span className="truncate">{each}</span>
              </button>
            </li>
          ))}
        </ul>
      )}
      {isFetching && <p className="quiet">Scanning …</p>}
      {currentData !== undefined && text !== '' && <Land found={currentData} wide={wide} />}
    </section>
  );
}

function Land({ found, wide }: { found: OverviewAnswer; wide: boolean }) {
  const { database } = useReview();
  const vocabulary = database?.vocabulary?.id ?? '';
  return (
    <>
      <p>
        <b>{formatCount(found.hits)}</b> records hold all of “{found.text}”.
      </p>
      {found.hits > 0 && (
        <div
          className={`gap-6 [&>section]:mb-4 [&>section]:break-inside-avoid ${wide ? 'md:columns-2' : 'max-xl:md:columns-2'}`}
        >
          <Years years={found.years} />
          <Values
            name="Kinds of publication and design"
            values={found.kinds}
            of={found.hits}
            action={(kind) => <TakeInto scanned={found.text} value={kind} content={null} />}
          />
          <Values
            name="Most frequent headings"
            values={found.headings}
            of={found.hits}
            action={(label) => (
              <TakeInto scanned={found.text} value={label} content={headingContent(vocabulary, label)} />
            )}
          />
          <Values
            name="Authors’ own keywords"
            values={found.keywords}
            of={found.hits}
            action={(word) => (
              <TakeInto
                scanned={found.text}
                value={word}
                content={wordsContent(word.includes(' ') ? `"${word}"` : word)}
              />
            )}
          />
        </div>
      )}
    </>
  );
}

const SHELF = { id: 'shelf', name: 'The shelf', group: 'For later' };

/** Takes what was found into an element's text or, where it can be searched, into its lane. */
function TakeInto({
  value,
  content,
  scanned,
}: {
  value: string;
  content: TermContent | null;
  /** the text that was scanned */
  scanned: string;
}) {
  const { review } = useReview();
  const { add } = useTermEdits();
  const { put } = useShelf();
  const edit = useEdit();
  const [changeElement] = questionApi.useChangeElementMutation();
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
    if (where === 'shelf' && content !== null) {
      await put({ name: value, contents: [content], origin: 'proposed', source: `the scan of “${scanned}”` });
      return;
    }
    const element = review.elements.find((each) => each.id === id);
    if (element === undefined) return;
    const { name } = elementShape(element.key);
    const text = element.text.trim() === '' ? value : `${element.text.trim()}, ${value}`;
    const sent = changeElement({
      review: review.id,
      id: element.id,
      version: element.version,
      change: { text },
    });
    await edit(sent, { notice: () => `Wrote ${value} into ${name.toLowerCase()}.` });
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
      text="Take"
      className="btn-xs"
      side="right"
      choices={[...(content === null ? [] : [...toLanes, SHELF]), ...texts]}
      onChoose={(chosen) => void take(chosen)}
    />
  );
}
