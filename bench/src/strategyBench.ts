/** The sheet of the demo strategy through the whole stack: how long an edit takes to be counted, and how many calls. */
import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer, request, type Server } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import {
  checkStrategy,
  indexVocabulary,
  SEARCH_FIELDS,
  type CheckedStrategy,
  type Lane,
  type TermContent,
} from '@even-lantern/core';
import { readVocabularies } from '@even-lantern/standins';
import { longStrategy } from './longStrategy.js';
import { answering, json } from './server.js';
import { measured, median, quantile, timed, timedAsync, type Measurement } from './measure.js';

const root = join(import.meta.dirname, '..', '..');
const [PORT, STANDINS_PORT, LINE_PORT] = [4392, 4393, 4394];
const EDITS = 20;

export async function strategyBench(): Promise<Measurement[]> {
  const data = mkdtempSync(join(tmpdir(), 'bench-'));
  const children: ChildProcess[] = [];
  const start = (program: string, standIns: number) => {
    const env = {
      ...process.env,
      PORT: String(PORT),
      STANDINS_PORT: String(standIns),
      EVEN_LANTERN_DATA: data,
    };
    const child = spawn(process.execPath, [join(root, program)], { env, stdio: 'ignore' });
    children.push(child);
    return child.pid ?? 0;
  };
  let calls = 0;
  const line = countingLine(() => (calls += 1));
  try {
    start('standins/dist/main.js', STANDINS_PORT);
    await answering(`http://127.0.0.1:${STANDINS_PORT}/`);
    const server = start('server/dist/main.js', LINE_PORT);
    await answering(`http://127.0.0.1:${PORT}/api/health`);
    const api = `http://127.0.0.1:${PORT}/api`;
    const [review] = (await json(`${api}/reviews`)) as { id: string }[];
    const id = review?.id ?? '';
    const [person] = (await json(`${api}/people`)) as { id: string }[];
    const headers = { 'el-person': person?.id ?? '' };
    const of = (what: string) => json(`${api}/reviews/${id}/${what}?database=corvane`);
    const counted = async (work: () => Promise<unknown>) => {
      const before = calls;
      await work();
      return calls - before;
    };
    const openLines = await counted(() => of('rehearsal'));
    const openStrings = await counted(() => of('translation'));
    const openEffects = await counted(() => of('effects'));
    const openTabs = await counted(() =>
      Promise.all(
        ['wardline', 'mindry', 'assayhouse', 'skein'].map((database) =>
          json(`${api}/reviews/${id}/total?database=${database}`),
        ),
      ),
    );

    const { lanes } = (await json(`${api}/reviews/${id}`)) as { lanes: { id: string; terms: object[] }[] };
    const filled = lanes.filter(({ terms }) => terms.length > 0);
    const times: number[] = [];
    const ofLine: number[] = [];
    const callsOfEdit: number[] = [];
    for (let i = 0; i < EDITS; i += 1) {
      // A different word each time, so that no remembered count helps.
      const content = { kind: 'words', text: `${WORDS[i % WORDS.length]} ${i}`, field: 'words', near: null };
      const laneId = filled[i % filled.length]?.id;
      ofLine.push(
        await timedAsync(() =>
          json(`${api}/reviews/${id}/candidates`, {
            database: 'corvane',
            laneId,
            instead: null,
            contents: [content],
          }),
        ),
      );
      await json(`${api}/reviews/${id}/terms`, { laneId, origin: 'typed', content }, headers);
      callsOfEdit.push(
        await counted(async () => {
          times.push(await timedAsync(() => Promise.all([of('rehearsal'), of('effects')])));
        }),
      );
    }
    return [
      measured('strategy', 'calls-to-open-lines', openLines, 'calls'),
      measured('strategy', 'calls-to-open-strings', openStrings, 'calls'),
      measured('strategy', 'calls-to-open-effects', openEffects, 'calls'),
      measured('strategy', 'calls-to-open-other-tabs', openTabs, 'calls'),
      measured('strategy', 'calls-of-an-edit-median', median(callsOfEdit), 'calls'),
      measured('strategy', 'new-line-p95', quantile(ofLine, 0.95), 'ms', '< 100'),
      measured('strategy', 'all-counts-and-effects-after-an-edit-p95', quantile(times, 0.95), 'ms', '< 500'),
      measured('strategy', 'checks-of-200-terms', checksMs(), 'ms', '< 200'),
      ...(await longStrategy({ api, data, process: server, headers })),
    ];
  } finally {
    line.closeAllConnections();
    line.close();
    for (const child of children) child.kill('SIGTERM');
    await new Promise((done) => setTimeout(done, 500));
    rmSync(data, { recursive: true, force: true });
  }
}

/** Passes requests on to the stand-ins, and counts those that search. */
function countingLine(onSearch: () => void): Server {
  const line = createServer((incoming, outgoing) => {
    const { method, url = '', headers } = incoming;
    if (url.includes('query=')) onSearch();
    const onward = request(
      { host: '127.0.0.1', port: STANDINS_PORT, method, path: url, headers },
      (answer) => {
        outgoing.writeHead(answer.statusCode ?? 502, answer.headers);
        answer.pipe(outgoing);
      },
    );
    onward.on('error', () => outgoing.destroy());
    incoming.pipe(onward);
  });
  return line.listen(LINE_PORT, '127.0.0.1');
}

/** How long all checks of 200 terms in four lanes take, counts aside. */
function checksMs(): number {
  const [vocabulary] = readVocabularies(join(root, 'standins', 'content'));
  if (vocabulary === undefined) throw new Error('no vocabulary');
  const tree = indexVocabulary(vocabulary);
  const labels = vocabulary.headings.map(({ label }) => label);
  const lanes = Array.from({ length: 4 }, (_, i): Lane => ({
    id: String(i),
    name: `lane ${i}`,
    leftOut: false,
    terms: Array.from({ length: 50 }, (_term, k) => ({
      id: `${i} ${k}`,
      origin: 'typed' as const,
      heldBack: null,
      content: contentOf(i * 50 + k, labels, vocabulary.id),
    })),
  }));
  const strategy: CheckedStrategy = {
    lanes,
    own: [],
    lines: [],
    problems: [],
    limits: [],
    database: { id: 'corvane', name: 'Corvane', vocabulary: vocabulary.id, fields: SEARCH_FIELDS },
    vocabulary: (id) => (id === vocabulary.id ? tree : null),
    indexWords: new Map(),
    leftOut: {},
    elsewhere: [],
    whole: null,
    records: null,
  };
  return Math.max(...Array.from({ length: 5 }, () => timed(() => checkStrategy(strategy))));
}

function contentOf(i: number, labels: readonly string[], vocabulary: string): TermContent {
  const label = labels[(i * 7) % labels.length] ?? '';
  return i % 3 === 0
    ? { kind: 'heading', vocabulary, label, narrower: i % 2 === 0, central: false, subheadings: [] }
    : { kind: 'words', text: label.toLowerCase(), field: 'words', near: null };
}

const WORDS = ['light', 'sleep', 'night', 'nurse', 'shift', 'ward', 'pain', 'wound', 'walk', 'care'];
