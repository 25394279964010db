/** Hostile XML, read safely: no document type, no entities but the five of XML, no broken markup, bounded size. */
import { XMLParser, XMLValidator } from 'fast-xml-parser';

/** One element. Text and children are kept in the order of the document. */
export interface XmlElement {
  /** local name, without prefix */
  name: string;
  attributes: Readonly<Record<string, string>>;
  children: XmlElement[];
  /** the element's own text, without that of its children */
  text: string;
}

export type XmlResult = { ok: true; root: XmlElement } | { ok: false; message: string };

export const MAX_XML_LENGTH = 50_000_000;

/** What reading a document may cost: a page of 1,000 records has some 150,000 elements. */
export interface XmlBounds {
  elements: number;
  depth: number;
}
export const XML_BOUNDS: XmlBounds = { elements: 400_000, depth: 200 };

const [SLASH, QUESTION, EXCLAMATION] = [47, 63, 33];
const ATTRIBUTES = ':@';
const TEXT = '#text';

const parser = new XMLParser({
  preserveOrder: true,
  ignoreAttributes: false,
  attributeNamePrefix: '',
  removeNSPrefix: true,
  processEntities: false,
  parseTagValue: false,
  parseAttributeValue: false,
  trimValues: false,
  ignoreDeclaration: true,
  ignorePiTags: true,
});

/**
 * Reads an XML document into a tree, or says why it is refused.
 * @param bounds judged before anything is built, since a few bytes of empty elements make a large tree
 */
export function parseXml(text: string, bounds: XmlBounds = XML_BOUNDS): XmlResult {
  if (text.length > MAX_XML_LENGTH) return { ok: false, message: 'The XML is larger than is accepted.' };
  if (/<!DOCTYPE/i.test(text)) return { ok: false, message: 'XML with a document type is refused.' };
  const beyond = beyondBounds(text, bounds);
  if (beyond !== null) return { ok: false, message: beyond };
  const valid = XMLValidator.validate(text);
  if (valid !== true) {
    return { ok: false, message: `The XML is broken at line ${valid.err.line}: ${valid.err.msg}` };
  }
  let nodes: unknown;
  try {
    nodes = parser.parse(text);
  } catch (error) {
    return {
      ok: false,
      message: `The XML is broken: ${error instanceof Error ? error.message : String(error)}`,
    };
  }
  const [root] = elementsOf(nodes);
  return root === undefined ? { ok: false, message: 'The XML is empty.' } : { ok: true, root };
}

/** Counts tags without building anything; what stands in comments and CDATA counts too, which only errs on the safe side. */
function beyondBounds(text: string, { elements, depth }: XmlBounds): string | null {
  let [count, level] = [0, 0];
  for (let at = text.indexOf('<'); at >= 0; at = text.indexOf('<', at + 1)) {
    const next = text.charCodeAt(at + 1);
    if (next === SLASH) level -= 1;
    else if (next !== QUESTION && next !== EXCLAMATION) {
      count += 1;
      if (count > elements)
        return `The XML has more than ${elements} elements, which is more than is read at once.`;
      const end = text.indexOf('>', at);
      if (end < 0 || text.charCodeAt(end - 1) !== SLASH) level += 1;
      if (level > depth) return `The XML has elements within elements more than ${depth} deep.`;
    }
  }
  return null;
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

function elementsOf(nodes: unknown): XmlElement[] {
  if (!Array.isArray(nodes)) return [];
  return nodes.flatMap((node: unknown) => {
    if (typeof node !== 'object' || node === null) return [];
    const name = Object.keys(node).find((key) => key !== ATTRIBUTES && key !== TEXT);
    if (name === undefined || name.startsWith('?')) return [];
    const content = (node as Record<string, unknown>)[name];
    const attributes = ((node as Record<string, unknown>)[ATTRIBUTES] ?? {}) as Record<string, unknown>;
    return [
      {
        name,
        attributes: Object.fromEntries(
          Object.entries(attributes).map(([key, value]) => [key, decode(String(value))]),
        ),
        children: elementsOf(content),
        text: textOf(content),
      },
    ];
  });
}

function textOf(nodes: unknown): string {
  if (!Array.isArray(nodes)) return '';
  return nodes
    .map((node: unknown) =>
      typeof node === 'object' && node !== null && TEXT in node ? decode(String(node[TEXT])) : '',
    )
    .join('');
}

const NAMED: Readonly<Record<string, string>> = { amp: '&', lt: '<', gt: '>', quot: '"', apos: "'" };

/** The five entities of XML and character references; any other entity stays as it is written. */
function decode(text: string): string {
  return text.replace(
    /&(?:#(\d{1,7})|#x([0-9a-f]{1,6})|(amp|lt|gt|quot|apos));/gi,
    (whole, decimal, hex, name) => {
      if (name !== undefined) return NAMED[String(name).toLowerCase()] ?? whole;
      const code = decimal !== undefined ? Number(decimal) : parseInt(hex, 16);
      return code > 0 && code <= 0x10ffff && (code < 0xd800 || code > 0xdfff)
        ? String.fromCodePoint(code)
        : whole;
    },
  );
}
