/** The crosswalk in open forms. */
import { toCsv } from '../text/index.js';
import { DataFactory, Writer } from 'n3';
import { conceptAddress, SKOS } from '../vocabulary/index.js';
import type { Settlement } from './model.js';

export interface DatedSettlement extends Settlement {
  at: string;
  person: string;
}

/**
 * The confirmed pairs as mappings (SKOS Reference, section 10). `closeMatch` is said, since a person confirmed that
 * one stands for the other in a search, not that they mean just the same.
 * @param addressOf the address of a vocabulary's concept; made of its label where nothing is said
 */
export function crosswalkToTurtle(
  settlements: readonly Settlement[],
  addressOf: (vocabulary: string, label: string) => string = conceptAddress,
): Promise<string> {
  const { namedNode } = DataFactory;
  const writer = new Writer({ prefixes: { skos: SKOS } });
  for (const { vocabulary, label, target, targetLabel, verdict } of settlements) {
    if (verdict !== 'confirmed' || targetLabel === null) continue;
    writer.addQuad(
      namedNode(addressOf(vocabulary, label)),
      namedNode(`${SKOS}closeMatch`),
      namedNode(addressOf(target, targetLabel)),
    );
  }
  return new Promise((resolve, reject) => {
    writer.end((error: Error | null, text: string) => (error ? reject(error) : resolve(text)));
  });
}

/** One row for each thing settled (RFC 4180). Cells that look like formulas are defused. */
export function crosswalkToCsv(settlements: readonly DatedSettlement[]): string {
  const header = ['vocabulary', 'heading', 'other vocabulary', 'heading there', 'settled', 'by', 'at'];
  const rows = settlements.map(({ vocabulary, label, target, targetLabel, verdict, person, at }) => [
    vocabulary,
    label,
    target,
    targetLabel ?? '',
    verdict === 'words' ? 'words instead' : verdict,
    person,
    at,
  ]);
  return toCsv([header, ...rows]);
}
