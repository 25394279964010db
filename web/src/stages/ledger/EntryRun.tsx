import { formatCount, isRun, sealText, type LedgerEntry, type RunContent } from '@even-lantern/core';
import type { LedgerEntryDetail } from '@even-lantern/contract';
import { format } from 'date-fns';
import { useReview } from '../../review/useReview.js';
import { releaseText } from '../../parts/release.js';
import { AboutEntry } from './AboutEntry.js';
import { BeginAnew } from './BeginAnew.js';
import { DriftView } from './DriftView.js';
import { EntryLink } from './EntryLink.js';
import { RunAgain } from './RunAgain.js';
import { RunTables } from './RunTables.js';
import { RunOnSchedule } from './schedules/RunOnSchedule.js';
import { type Fact, Facts } from './Facts.js';
import { fileText, hits } from './entryWords.js';

export function Run({ detail, content }: { detail: LedgerEntryDetail; content: RunContent }) {
  const { review } = useReview();
  const { repeats, renamed = [], version, purpose = '', note = '' } = content;
  const repeated = detail.repeatedBy;
  return (
    <>
      <div className="flex flex-wrap gap-3">
        <RunAgain content={content} />
        <BeginAnew detail={detail} />
        <RunOnSchedule content={content} />
      </div>
      <Facts
        facts={[
          ['found', `${hits(content)}, ${formatCount(content.fetched)} records fetched`],
          ...(purpose === '' ? [] : ([['what for', purpose]] as Fact[])),
          ...(note === '' ? [] : ([['note', note]] as Fact[])),
          ['in', `${content.databaseName}, ${releaseText(content.release)}`],
          [
            'run',
            `${format(content.startedAt, 'd MMM yyyy HH:mm')} (${content.startedAt} UTC, time zone of the person ${content.timeZone}), took ${content.durationMs} ms, by ${content.ranBy}`,
          ],
          [
            'strings in',
            content.queryType === undefined ? content.dialect : `${content.dialect} (${content.queryType})`,
          ],
          ...(version == null
            ? []
            : ([
                [
                  'strategy',
                  version.name === ''
                    ? `version ${version.number}`
                    : `version ${version.number}, ${version.name}`,
                ],
              ] as Fact[])),
          ...(repeats == null ? [] : ([['repeats', <EntryLink key="r" entry={repeats.entry} />]] as Fact[])),
          ...renamed.map(({ from, to }): Fact => ['renamed since', `heading “${from}” is asked as “${to}”`]),
          ...(repeated.length === 0
            ? []
            : ([
                [
                  'run again as',
                  <span key="a" className="flex flex-wrap gap-2">
                    {repeated.map((each) => (
                      <EntryLink key={each} entry={each} />
                    ))}
                  </span>,
                ],
              ] as Fact[])),
          ...(content.remarks ?? []).map((remark): Fact => ['remark', remark]),
        ]}
      />
      {repeats != null && <DriftView reviewId={review.id} content={content} />}
      <AboutEntry entry={detail.entry} about={detail.about} />
      <RunTables content={content} />
      <Facts
        quiet
        facts={[
          ['result fingerprint', content.fingerprint],
          ['entry hash', detail.entry.hash],
          ['seal up to here', sealText({ entries: content.entry, hash: detail.entry.hash })],
          ['application', `Even Lantern ${content.applicationVersion}, form ${content.form ?? 1} of entries`],
        ]}
      />
    </>
  );
}

export function Told({ entry: { content, hash } }: { entry: LedgerEntry }) {
  if (isRun(content)) return null;
  const entered: Fact = ['entered', `${format(content.at, 'd MMM yyyy HH:mm')}, by ${content.by}`];
  const facts: Fact[] =
    content.kind === 'elsewhere'
      ? [
          ['how', content.way],
          ['where', content.place],
          ['on', content.searchedOn],
          ...(content.string === '' ? [] : ([['searched for', content.string]] as Fact[])),
          ['found', content.count === null ? 'not counted' : formatCount(content.count)],
          ...(content.file === null ? [] : ([['brought', fileText(content.file)]] as Fact[])),
          ...(content.text === '' ? [] : ([['note', content.text]] as Fact[])),
          entered,
        ]
      : [
          ['about', <EntryLink key="e" entry={content.about.entry} />],
          ...(content.kind === 'correction'
            ? ([[content.what, `${content.was} → ${content.is}`]] as Fact[])
            : []),
          ...(content.text === '' ? [] : ([['note', content.text]] as Fact[])),
          entered,
        ];
  return (
    <>
      <Facts facts={facts} />
      <Facts
        quiet
        facts={[
          ...(content.kind === 'elsewhere' && content.file !== null
            ? ([['SHA-256 of the file', content.file.sha256]] as Fact[])
            : []),
          ['entry hash', hash],
        ]}
      />
    </>
  );
}
