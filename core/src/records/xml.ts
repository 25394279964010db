/** Hostile XML, read safely: no document type, no entities but the five of XML, no broken markup, bounded size. */
import { SaxesParser } from 'saxes';

/** One element. Text and children are kept in the order of the document. */
export interface XmlElement {
  /** local name, without prefix */
  name: string;
  attributes: Readonly<Record<string, string>>;
  children: XmlElement[];
  /** the element's own text, without that of its children */
  text: string;
}

/** An outermost element that was read. */
export interface XmlTree extends XmlElement {
  /** where it begins, from 1 */
  line: number;
}

export type XmlResult = { ok: true; root: XmlElement } | { ok: false; message: string };

export const MAX_XML_LENGTH = 50_000_000;

/** What reading a document may cost: a page of 1,000 records has some 150,000 elements. */
export interface XmlBounds {
  elements: number;
  depth: number;
}
export const XML_BOUNDS: XmlBounds = { elements: 400_000, depth: 200 };

const ENTITIES: Record<string, string> = { amp: '&', lt: '<', gt: '>', quot: '"', apos: "'" };

/** Characters that XML forbids, as they are or by their numbers. Records have them all the same, from copied text. */
const FORBIDDEN =
  /[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]|&#(?:0*(?:[0-8]|1[124-9]|2\d|3[01])|x0*(?:[0-8bcef]|1[\da-f]|d[89a-f][\da-f]{2}|fff[ef]));/gi;

/** A document that is read piece by piece. */
export interface XmlReader {
  /** @throws XmlRefusal */
  write(piece: string): void;
  /** @throws XmlRefusal where the document is not at its end */
  close(): void;
  /** the trees that were closed since this was asked last, also when what came after them is refused */
  take(): XmlTree[];
  /** the line that is being read, from 1 */
  readonly line: number;
}

/** XML that is not read, with the reason in words. */
export class XmlRefusal extends Error {}

/**
 * Reads XML as it comes, into one tree for each outermost element that `begins` a tree; what stands around those is
 * passed over. Characters that XML forbids become spaces.
 * @param bounds of each tree, judged before anything more is built, since a few bytes of empty elements make a large one
 */
export function xmlReader(begins: (name: string) => boolean, bounds: XmlBounds = XML_BOUNDS): XmlReader {
  const parser = new SaxesParser({ xmlns: false });
  // An entity that XML does not have stays as it is written, since without a document type nobody can say what it is.
  parser.ENTITIES = new Proxy(ENTITIES, {
    get: (known, name) => {
      if (typeof name !== 'string' || !/^[A-Za-z_][\w.:-]*$/.test(name)) return undefined;
      return Object.hasOwn(known, name) ? known[name] : `&${name};`;
    },
  });
  const ready: XmlTree[] = [];
  /** the elements that are open, outermost first */
  const open: XmlElement[] = [];
  let depth = 0;
  let begun = 1;
  let elements = 0;
  parser.on('doctype', () => {
    throw new XmlRefusal('XML with a document type is refused.');
  });
  parser.on('error', ({ message }) => {
    const reason = message.replace(/^[\d:]+ /, '');
    throw new XmlRefusal(`The XML is broken at line ${parser.line}: ${reason}`);
  });
  parser.on('opentag', ({ name, attributes }) => {
    depth += 1;
    if (depth > bounds.depth) {
      throw new XmlRefusal(`The XML has elements within elements more than ${bounds.depth} deep.`);
    }
    const local = localName(name);
    if (open.length === 0 && !begins(local)) return;
    if (open.length === 0) begun = parser.line;
    elements += 1;
    if (elements > bounds.elements) {
      throw new XmlRefusal(
        `The XML has more than ${bounds.elements} elements, which is more than is read at once.`,
      );
    }
    const own = Object.entries(attributes).map(([key, value]) => [localName(key), value] as const);
    const element = { name: local, attributes: Object.fromEntries(own), children: [], text: '' };
    open.at(-1)?.children.push(element);
    open.push(element);
  });
  const addText = (more: string) => {
    const element = open.at(-1);
    if (element !== undefined) element.text += more;
  };
  parser.on('text', addText);
  parser.on('cdata', addText);
  parser.on('closetag', () => {
    depth -= 1;
    const closed = open.pop();
    if (closed === undefined || open.length > 0) return;
    elements = 0;
    ready.push({ ...closed, line: begun });
  });
  return {
    write: (piece) => void parser.write(piece.replace(FORBIDDEN, ' ')),
    close: () => void parser.close(),
    take: () => ready.splice(0),
    get line() {
      return parser.line;
    },
  };
}

/** Reads a whole XML document into a tree, or says why it is refused. */
export function parseXml(text: string, bounds: XmlBounds = XML_BOUNDS): XmlResult {
  if (text.length > MAX_XML_LENGTH) return { ok: false, message: 'The XML is larger than is accepted.' };
  const reader = xmlReader(() => true, bounds);
  try {
    reader.write(text);
    reader.close();
    const [root] = reader.take();
    return root === undefined ? { ok: false, message: 'The XML is empty.' } : { ok: true, root };
  } catch (error) {
    if (error instanceof XmlRefusal) return { ok: false, message: error.message };
    throw error;
  }
}

function localName(name: string): string {
  return name.slice(name.indexOf(':') + 1);
}

export function childrenNamed(element: XmlElement, name: string): XmlElement[] {
  return element.children.filter((child) => child.name === name);
}

/** The first element along a path of names. */
export function childAt(element: XmlElement, ...path: string[]): XmlElement | null {
  let at: XmlElement | null = element;
  for (const name of path) at = at?.children.find((child) => child.name === name) ?? null;
  return at;
}

/** The text at a path, with white space trimmed; empty when there is none. */
export function textAt(element: XmlElement, ...path: string[]): string {
  return childAt(element, ...path)?.text.trim() ?? '';
}

export function escapeXml(text: string): string {
  return text

    .replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]/g, '')
    .replaceAll('&', '&amp;')
    .replaceAll('<', '&lt;')
    .replaceAll('>', '&gt;')
    .replaceAll('"', '&quot;');
}
