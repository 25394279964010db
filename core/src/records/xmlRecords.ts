/** Reading records from XML as it comes, whatever stands around them: collections, answers of servers, RDF. */
import { isDublinCore, recordFromDublinCore } from './dublinCore.js';
import type { RecordTrouble } from './formats/format.js';
import { leftOut, type TellLeftOut } from './leftOut.js';
import type { BibRecord } from './model.js';
import { recordFromMods } from './mods.js';
import { XML_BOUNDS, xmlReader, XmlRefusal, type XmlElement, type XmlTree } from './xml.js';

/** Elements that are a record, or that hold one alone. */
const BEGINS = new Set(['mods', 'dc', 'qualifieddc', 'Description', 'record', 'metadata']);
/** What one of them may have; a page of a hundred authors has some five hundred. */
const BOUNDS = { ...XML_BOUNDS, elements: 20_000 };

/** A record of one of the schemas that SRU servers give, by the name of its element. */
export function recordFromXml(element: XmlElement, tell?: TellLeftOut): BibRecord | null {
  if (element.name === 'mods') return recordFromMods(element, tell);
  return isDublinCore(element) ? recordFromDublinCore(element, tell) : null;
}

export interface XmlRecords {
  /** @returns the records that end in it. Nothing more is read after what is refused. */
  write(piece: string): BibRecord[];
  /** @returns what could not be read, by line */
  end(): { records: BibRecord[]; troubles: RecordTrouble[] };
}

export function xmlRecords(): XmlRecords {
  const reader = xmlReader((name) => BEGINS.has(name), BOUNDS);
  const left = leftOut();
  let untitled = 0;
  let refused: RecordTrouble | null = null;
  const recordsOf = (tree: XmlTree) =>
    recordElements(tree).flatMap((element) => {
      const record = recordFromXml(element, (kind, times) => left.note(tree.line, kind, times));
      if (record === null) untitled += 1;
      return record ?? [];
    });
  const read = (step: () => void) => {
    if (refused !== null) return [];
    try {
      step();
    } catch (error) {
      if (!(error instanceof XmlRefusal)) throw error;
      refused = { line: reader.line, message: error.message };
    }
    return reader.take().flatMap(recordsOf);
  };
  return {
    write: (piece) => read(() => reader.write(piece)),
    end() {
      const records = read(() => reader.close());
      const troubles = refused === null ? [] : [refused];
      if (untitled > 0)
        troubles.push({ line: 1, message: `${untitled} records have no title and are not read.` });
      return { records, troubles: [...troubles, ...left.troubles()] };
    },
  };
}

/** The outermost elements that are records, in what was read. */
function recordElements(element: XmlElement): XmlElement[] {
  if (element.name === 'mods' || isDublinCore(element)) return [element];
  return element.children.flatMap(recordElements);
}
