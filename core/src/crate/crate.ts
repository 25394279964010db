/**
 * A review as a package of research data: the metadata of RO-Crate 1.1 (https://w3id.org/ro/crate/1.1), JSON-LD that says
 * what each file is, how large, and with which SHA-256.
 */
export const CRATE_METADATA = 'ro-crate-metadata.json';
const CRATE = 'https://w3id.org/ro/crate/1.1';
const CONTEXT = `${CRATE}/context`;
/** What the packages of this product are, and the version of their form. */
const CONFORMS = 'urn:even-lantern:review-package';
const FORM = 1;

/** A file of a package. */
export interface CrateFile {
  /** its path within the package */
  path: string;
  description: string;
  /** media type */
  encodingFormat: string;
  /** bytes */
  contentSize: number;
  /** hexadecimal digits */
  sha256: string;
  /** rows, where it is a table; null for what can be made again from those */
  rows: number | null;
}

export interface Crate {
  /** id of the review */
  id: string;
  title: string;
  /** UTC, ISO 8601 */
  exportedAt: string;
  application: string;
  /** the seal of the ledger, as `sealText` writes it */
  seal: string;
  /** the last step of the store’s tables that the rows are as of */
  tablesAsOf: string;
  /** those who are named in the review */
  people: CratePerson[];
  files: CrateFile[];
}

export interface CratePerson {
  id: string;
  name: string;
}

export function crateToJson({
  id,
  title,
  exportedAt,
  application,
  seal,
  tablesAsOf,
  people,
  files,
}: Crate): string {
  const graph = [
    {
      '@id': CRATE_METADATA,
      '@type': 'CreativeWork',
      conformsTo: { '@id': CRATE },
      about: { '@id': './' },
    },
    {
      '@id': './',
      '@type': 'Dataset',
      identifier: id,
      name: title === '' ? 'A review' : title,
      description: 'An evidence review: its question, strategies, ledger, records and decisions.',
      datePublished: exportedAt,
      license: { '@id': '#licence' },
      author: people.map((person) => ({ '@id': personNode(person) })),
      version: String(FORM),
      conformsTo: { '@id': CONFORMS },
      creator: { '@id': '#application' },
      hasPart: files.map(({ path }) => ({ '@id': path })),
      additionalProperty: [{ '@id': '#seal' }, { '@id': '#tables' }],
    },
    {
      '@id': '#application',
      '@type': 'SoftwareApplication',
      name: 'Even Lantern',
      softwareVersion: application,
    },
    {
      '@id': '#licence',
      '@type': 'CreativeWork',
      name: 'No licence told',
      description: 'Ask those whose review it is before you use it.',
    },
    ...people.map((person) => ({
      '@id': personNode(person),
      '@type': 'Person',
      identifier: person.id,
      name: person.name === '' ? 'Somebody' : person.name,
    })),
    { '@id': '#seal', '@type': 'PropertyValue', name: 'seal of the ledger', value: seal },
    { '@id': '#tables', '@type': 'PropertyValue', name: 'tables as of', value: tablesAsOf },
    ...files.map(({ path, description, encodingFormat, contentSize, sha256, rows }) => ({
      '@id': path,
      '@type': 'File',
      name: path,
      description,
      encodingFormat,
      contentSize: String(contentSize),
      sha256,
      ...(rows === null ? {} : { size: String(rows) }),
    })),
  ];
  return JSON.stringify({ '@context': CONTEXT, '@graph': graph }, null, 2);
}

export type CrateResult = { ok: true; crate: Crate } | { ok: false; message: string };

/** Reads the metadata of a package of this product. What it says of files is for the files to prove. */
export function readCrate(text: string): CrateResult {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch (error) {
    return refused(
      `Its ${CRATE_METADATA} is no JSON: ${error instanceof Error ? error.message : String(error)}`,
    );
  }
  const graph = isObject(json) && Array.isArray(json['@graph']) ? json['@graph'].filter(isObject) : [];
  const byId = new Map(graph.map((node) => [node['@id'], node]));
  const root = byId.get('./');
  if (root === undefined || idOf(root['conformsTo']) !== CONFORMS) {
    return refused('It is no package of a review: export one from the page of reviews.');
  }
  if (root['version'] !== String(FORM)) {
    return refused('It was written by a later version of the program. Read it with that.');
  }
  const parts = Array.isArray(root['hasPart']) ? root['hasPart'] : [];
  const files: CrateFile[] = [];
  for (const part of parts) {
    const node = byId.get(idOf(part));
    const file = node === undefined ? null : fileOf(node);
    if (file === null) return refused(`It does not say what its file “${String(idOf(part))}” is.`);
    files.push(file);
  }
  const valueOf = (id: string) => textOf(byId.get(id)?.['value']);
  return {
    ok: true,
    crate: {
      id: textOf(root['identifier']),
      title: textOf(root['name']),
      exportedAt: textOf(root['datePublished']),
      application: textOf(byId.get('#application')?.['softwareVersion']),
      seal: valueOf('#seal'),
      tablesAsOf: valueOf('#tables'),
      people: peopleOf(root['author'], byId),
      files,
    },
  };
}

/** Those whom the metadata names; packages of earlier releases name nobody there. */
function peopleOf(authors: unknown, byId: ReadonlyMap<unknown, Record<string, unknown>>): CratePerson[] {
  return (Array.isArray(authors) ? authors : []).flatMap((author) => {
    const node = byId.get(idOf(author));
    return node === undefined ? [] : [{ id: textOf(node['identifier']), name: textOf(node['name']) }];
  });
}

function personNode({ id }: CratePerson): string {
  return `#person-${encodeURIComponent(id)}`;
}

function fileOf(node: Record<string, unknown>): CrateFile | null {
  const { '@id': path, contentSize, sha256, size } = node;
  const bytes = Number(contentSize);
  const rows = size === undefined ? null : Number(size);
  const counts = [bytes, ...(rows === null ? [] : [rows])];
  if (typeof path !== 'string' || path === '' || typeof sha256 !== 'string') return null;
  if (!/^[0-9a-f]{64}$/.test(sha256) || !counts.every((each) => Number.isSafeInteger(each) && each >= 0))
    return null;
  const description = textOf(node['description']);
  return {
    path,
    description,
    encodingFormat: textOf(node['encodingFormat']),
    contentSize: bytes,
    sha256,
    rows,
  };
}

function idOf(value: unknown): unknown {
  return isObject(value) ? value['@id'] : undefined;
}

function textOf(value: unknown): string {
  return typeof value === 'string' ? value : '';
}

function isObject(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

function refused(message: string): CrateResult {
  return { ok: false, message };
}
