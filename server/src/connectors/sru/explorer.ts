/** Getting to know an SRU server: what it says of itself, and what it does when it is asked. */
import {
  dialectFrom,
  LACKS,
  proposeLimits,
  proposeNames,
  type DialectDescription,
  type Lack,
  type Query,
} from '@even-lantern/core';
import { textAt, type XmlElement } from '@even-lantern/core';
import { SRU_VERSIONS, type ExploredServer, type SruVersion } from '@even-lantern/contract';
import { DatabaseError, type DatabaseConnector } from '../databaseConnector.js';
import { XML_AT_ONCE } from './xmlParser.js';
import { proposedBudget } from '../proposedBudget.js';
import { sruCalls, type SruOptions } from './calls.js';
import { addedConnector } from './addedConnector.js';
import { describe, explainIn, indexesIn, schemasIn } from './explain.js';

/** Words that hardly any database of the health sciences lacks. */
const TEST_WORDS = ['health', 'care'] as const;
const CONTEXT = { vocabulary: null, limitFields: [] };

/**
 * Reads a server's explain record, proposes which of its indexes stand for our fields, and makes a first search.
 * @throws DatabaseError where there is no SRU server at the address
 */
export async function exploreServer(
  address: string,
  options: Partial<SruOptions> = {},
): Promise<ExploredServer> {
  const { root, explain, version } = await explained(address, options);
  const { name, description } = describe(root, explain, address);
  const indexes = indexesIn(explain);
  const recordSchemas = schemasIn(explain);
  const names = proposeNames(indexes);
  const server = { address, version, recordSchema: recordSchemas[0]?.name ?? 'mods' };
  const connectorWith = (lacks: readonly Lack[]) => {
    const dialect: DialectDescription = { kind: 'cql', names, lacks };
    const settings = { name, description, dialect, vocabulary: null, turtle: () => Promise.resolve('') };
    return addedConnector(server, settings, options);
  };
  const lacks = await lacksOf(connectorWith([]), { kind: 'cql', names, lacks: [] });
  return {
    address,
    version,
    name,
    description,
    recordSchemas,
    indexes,
    dialect: { kind: 'cql', names, lacks },
    budget: proposedBudget(address),
    limits: proposeLimits(indexes.filter(({ name: index }) => !Object.values(names).includes(index))),
    test: await firstSearch(connectorWith(lacks), { kind: 'cql', names, lacks }),
  };
}

/** Explaining is asked for without a version first, as 2.0 has it, since a server of 1.2 answers with its own then. */
async function explained(
  address: string,
  options: Partial<SruOptions>,
): Promise<{ root: XmlElement; explain: XmlElement; version: SruVersion }> {
  const { host } = new URL(address);
  const { get } = sruCalls(host, options);
  let reason = '';
  for (const version of [null, ...[...SRU_VERSIONS].reverse()]) {
    const url = new URL(address);
    if (version !== null) {
      url.searchParams.set('operation', 'explain');
      url.searchParams.set('version', version);
    }
    const xml = await (options.xml ?? XML_AT_ONCE).of(address).xml(await get(url, {}));
    if (!xml.ok) {
      reason = ` ${xml.message}`;
      continue;
    }
    const explain = explainIn(xml.root);
    const stated = SRU_VERSIONS.find((each) => each === textAt(xml.root, 'version'));
    if (explain !== null) return { root: xml.root, explain, version: stated ?? version ?? '2.0' };
  }
  throw new DatabaseError(`${host} does not explain itself as SRU servers do.${reason}`, false);
}

async function firstSearch(
  connector: DatabaseConnector,
  description: DialectDescription,
): Promise<ExploredServer['test']> {
  const query = dialectFrom(description).print(wordsOf(TEST_WORDS[0]), CONTEXT).text;
  try {
    const { hits, records } = await connector.search(query, { start: 1, size: 1 });
    return { query, hits, error: null, record: records[0] ?? null };
  } catch (error) {
    if (!(error instanceof DatabaseError)) throw error;
    return { query, hits: null, error: error.message, record: null };
  }
}

/** What the server refuses, or does not do though it accepts it. */
async function lacksOf(connector: DatabaseConnector, description: DialectDescription): Promise<Lack[]> {
  const { print } = dialectFrom(description);
  const count = async (query: Query): Promise<number | null> => {
    try {
      return (await connector.count(print(query, CONTEXT).text)).hits;
    } catch (error) {
      if (!(error instanceof DatabaseError)) throw error;
      return null;
    }
  };
  const [first, second] = TEST_WORDS;
  const [word, ending, letter, near] = await Promise.all([
    count(wordsOf(first)),
    count(wordsOf(`${first.slice(0, -1)}`, true)),
    count(wordsOf(first.replace('a', '?'))),
    count({
      kind: 'near',
      parts: [first, second].map((each) => wordsOf(each)),
      distance: 5,
      ordered: false,
    }),
  ]);
  // How headings are asked for with what lies below them, or central, no standard says.
  const does: Readonly<Partial<Record<Lack, boolean>>> = {
    endings: ending !== null && ending >= (word ?? 0),
    'one letter': letter !== null && letter >= (word ?? 0),
    near: near !== null,
  };
  return LACKS.filter((lack) => does[lack] !== true);
}

function wordsOf(text: string, anyEnding = false) {
  return { kind: 'words' as const, field: 'words' as const, phrase: [{ text, anyEnding }] };
}
