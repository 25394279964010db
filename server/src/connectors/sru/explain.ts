/** What an SRU server tells of itself: its explain record (ZeeRex), and the profile that our stand-ins add to it. */
import { childAt, childrenNamed, DIALECTS, parseXml, textAt, type XmlElement } from '@even-lantern/core';
import type { DatabaseAbout, ExploredServer } from '@even-lantern/contract';
import type { DatabaseDescription } from '../databaseConnector.js';

/** The explain record within an answer; null where the server does not explain itself. */
export function explainIn(root: XmlElement): XmlElement | null {
  return dataOf(childAt(root, 'record') ?? root, 'explain');
}

/**
 * The data of a record, which servers send as elements or, escaped, as text.
 * @param name of its element; any where it is not given
 */
export function dataOf(record: XmlElement, name?: string): XmlElement | null {
  const data = childAt(record, 'recordData');
  const isNamed = (element: XmlElement) => name === undefined || element.name === name;
  const inside = data?.children.find(isNamed);
  if (inside !== undefined) return inside;
  const text = data?.text.trim() ?? '';
  const parsed = text.startsWith('<') ? parseXml(text) : null;
  return parsed?.ok === true && isNamed(parsed.root) ? parsed.root : null;
}

/** The indexes that a server says it searches, with the name of its context set before a dot. */
export function indexesIn(explain: XmlElement): ExploredServer['indexes'] {
  const info = childAt(explain, 'indexInfo');
  const indexes = info === null ? [] : childrenNamed(info, 'index');
  const found = indexes
    .filter(({ attributes }) => attributes.search !== 'false')
    .flatMap((index) =>
      childrenNamed(index, 'map').flatMap((map) => {
        const name = childAt(map, 'name');
        const set = name?.attributes.set ?? '';
        const local = name?.text.trim() ?? '';
        const title = textAt(index, 'title') || local;
        return local === '' ? [] : [{ name: set === '' ? local : `${set}.${local}`, title }];
      }),
    );
  return [...new Map(found.map((each) => [each.name, each])).values()];
}

const READABLE = ['mods', 'dc'];

/** What kinds of records a server gives; those that can be read here first, the richest before the others. */
export function schemasIn(explain: XmlElement): ExploredServer['recordSchemas'] {
  const info = childAt(explain, 'schemaInfo');
  const schemas = (info === null ? [] : childrenNamed(info, 'schema'))
    .filter(({ attributes }) => attributes.retrieve !== 'false')
    .map((schema) => {
      const { name = '', identifier = '' } = schema.attributes;
      const format = READABLE.find((each) =>
        new RegExp(`(^|[^a-z])${each}([^a-z]|$)`, 'i').test(`${name} ${identifier}`),
      );
      return { name: name || identifier, title: textAt(schema, 'title') || name || identifier, format };
    })
    .filter(({ name }) => name !== '');
  return [...READABLE, undefined].flatMap((format) =>
    schemas
      .filter((schema) => schema.format === format)
      .map(({ name, title }) => ({ name, title, readable: format !== undefined })),
  );
}

export function describe(root: XmlElement, explain: XmlElement, address: string): DatabaseDescription {
  const profile = childAt(root, 'extraResponseData', 'profile');
  const config = childAt(explain, 'configInfo');
  const settings = config === null ? [] : childrenNamed(config, 'setting');
  const cap = settings.find((setting) => setting.attributes.type === 'maximumRecords')?.text ?? '';
  const vocabulary = profile === null ? null : childAt(profile, 'vocabulary');
  const limits = profile === null ? [] : childrenNamed(profile, 'limit');
  const records = profile === null ? '' : textAt(profile, 'records');
  const queryTypes = [
    ...new Set([
      'cql',
      ...(config === null ? [] : childrenNamed(config, 'supports'))
        .filter(({ attributes }) => attributes.type === 'queryType')
        .map(({ text }) => text.trim()),
    ]),
  ];
  const own = queryTypes.find((type) => DIALECTS.has(type));
  return {
    name: textAt(explain, 'databaseInfo', 'title') || address,
    description: textAt(explain, 'databaseInfo', 'description'),
    release: profile === null ? '' : textAt(profile, 'release'),
    simulated: profile?.attributes.simulated === 'true',
    records: /^\d+$/.test(records) ? Number(records) : null,
    vocabulary:
      vocabulary === null
        ? null
        : {
            id: vocabulary.attributes.id ?? '',
            name: vocabulary.text.trim(),
            address: vocabulary.attributes.href ?? '',
          },
    limits: Object.fromEntries(
      limits.map((limit) => [
        limit.attributes.field ?? '',
        childrenNamed(limit, 'value').map(({ text }) => text.trim()),
      ]),
    ),
    dialect: own === undefined ? null : { kind: own, names: {}, lacks: [] },
    reached: 'shipped',
    releases: profile === null ? [] : childrenNamed(profile, 'earlierRelease').map(({ text }) => text.trim()),
    nextRelease: profile === null ? null : textAt(profile, 'nextRelease') || null,
    about: aboutOf(profile === null ? null : childAt(profile, 'about')),
    pageCap: /^[1-9]\d*$/.test(cap) ? Number(cap) : 10,
  };
}

function aboutOf(about: XmlElement | null): DatabaseAbout | null {
  if (about === null) return null;
  const year = (name: string) => {
    const text = textAt(about, name);
    return /^\d{4}$/.test(text) ? Number(text) : null;
  };
  return {
    covers: textAt(about, 'covers'),
    goodFor: textAt(about, 'goodFor'),
    weakFor: textAt(about, 'weakFor'),
    firstYear: year('firstYear'),
    lastYear: year('lastYear'),
    suits: Object.fromEntries(
      childrenNamed(about, 'suits').map(({ attributes, text }) => [
        attributes.question ?? '',
        { degree: Number(attributes.degree) || 0, because: text.trim() },
      ]),
    ),
  };
}
