/** Files of 200 MB: what reading them costs the server, and those who ask for something else meanwhile. */
import { once } from 'node:events';
import { createReadStream, createWriteStream, readFileSync } from 'node:fs';
import { request } from 'node:http';
import { join } from 'node:path';
import { finished } from 'node:stream/promises';
import { measured, timedAsync, type Measurement } from './measure.js';
import { json, withServer } from './server.js';

const PORT = 4393;
const BYTES = 200_000_000;

export function filesBench(): Promise<Measurement[]> {
  return withServer(PORT, async (server) => {
    const { api, headers } = server;
    const database = {
      how: 'hand', name: 'Bench', description: '', release: '', vocabulary: null,
      dialect: { kind: 'corvane', names: {}, lacks: [] },
    }; // prettier-ignore
    const { id } = (await json(`${api}/databases`, database, headers)) as { id: string };
    const answer = (await json(`${api}/databases/${id}/answers`, { text: 'words("light")' }, headers)) as {
      id: string;
    };
    const results: Measurement[] = [];
    for (const [name, path, type, address] of [
      [
        'records',
        await written(join(server.data, 'a.ris'), ris),
        'text/plain',
        `/api/databases/${id}/answers/${answer.id}/records`,
      ],
      [
        'vocabulary',
        await written(join(server.data, 'a.ttl'), turtle),
        'text/turtle',
        '/api/vocabularies?file=a.ttl',
      ],
    ] as const) {
      const cost = await sending(address, path, { ...headers, 'Content-Type': type }, server.process);
      results.push(
        measured('files', `${name}-200-mb-status`, cost.status, ''),
        measured('files', `${name}-200-mb-time`, cost.ms / 1000, 's'),
        measured('files', `${name}-200-mb-memory`, cost.mostMb, 'MB', '< 1000'),
        measured('files', `${name}-200-mb-health-at-worst`, cost.waitMs, 'ms', '< 100'),
      );
    }
    return results;
  });
}

const ABSTRACT =
  'Staff on night duty were given timed bright light or usual lighting, and sleep was told by diary. ';
const ris = (i: number) =>
  `TY  - JOUR\r\nAN  - REC${i}\r\nTI  - Lamps on ward ${i}\r\nAB  - ${ABSTRACT.repeat(14)}\r\nER  - \r\n\r\n`;
const turtle = (i: number) =>
  i === 0
    ? '@prefix skos: <http://www.w3.org/2004/02/skos/core#> .\n<urn:v> a skos:ConceptScheme .\n'
    : `<urn:c${i}> a skos:Concept ; skos:prefLabel "Heading ${i}"@en ; skos:broader <urn:c${Math.ceil(i / 40)}> ; skos:inScheme <urn:v> ; skos:note "${ABSTRACT.repeat(18)}"@en .\n`;

async function written(path: string, part: (i: number) => string): Promise<string> {
  const out = createWriteStream(path);
  for (let [i, bytes] = [0, 0]; bytes < BYTES; i += 1) {
    const text = part(i);
    bytes += text.length;
    if (!out.write(text)) await once(out, 'drain');
  }
  out.end();
  await finished(out);
  return path;
}

async function sending(address: string, path: string, headers: Record<string, string>, pid: number) {
  let [mostMb, waitMs] = [0, 0];
  const watched = { going: true };
  const watching = (async () => {
    while (watched.going) {
      waitMs = Math.max(waitMs, await timedAsync(() => json(`http://127.0.0.1:${PORT}/api/health`)));
      const resident = /VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1];
      mostMb = Math.max(mostMb, Number(resident ?? 0) / 1024);
      await new Promise((done) => setTimeout(done, 10));
    }
  })();
  const from = performance.now();
  const status = await new Promise<number>((resolve, reject) => {
    const sent = request({ port: PORT, method: 'POST', path: address, headers }, (answer) => {
      answer.resume().on('end', () => resolve(answer.statusCode ?? 0));
    });
    sent.on('error', reject);
    createReadStream(path).pipe(sent);
  });
  const ms = performance.now() - from;
  watched.going = false;
  await watching;
  return { status, ms, mostMb, waitMs };
}
