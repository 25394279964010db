import { printCql, parseCql, parseCqlSyntax, type CqlNode } from '../../query/index.js';
import { ownKey } from '../../strategy/index.js';
import type { Check, Finding } from '../check.js';
import { lineAt } from '../looking.js';

/** AND and OR side by side are read from left to right here, and AND first elsewhere. */
export const mixedOperators: Check = {
  id: 'mixed-operators',
  name: 'AND and OR without parentheses',
  about:
    'Without parentheses, one reader takes them from left to right, another AND first, and so do databases. Parentheses make sure that what is found is what was meant.',
  find: (strategy) => {
    const { own } = strategy;
    const ofOwn = own.flatMap(({ id, on, text }): Finding[] => {
      const readings = readingsOf(text);
      if (!on || readings === null) return [];
      return [
        {
          check: 'mixed-operators',
          at: ownKey(id),
          detail: '',
          message:
            'AND and OR stand side by side without parentheses; they are read from left to right here.',
          weight: 'warning',
          mends: readings.map(([name, written]) => ({
            text: name,
            mend: { kind: 'writeOwn', ownId: id, text: written },
          })),
        },
      ];
    });
    const ofWritten = strategy.lines.flatMap(({ key }): Finding[] => {
      const line = lineAt(strategy, key);
      if (line?.written == null || line.cautions.length === 0) return [];
      // In a way of writing that is none of CQL, only a person can tell what was meant.
      const readings = readingsOf(line.written) ?? [];
      return line.cautions.map((message) => ({
        check: 'mixed-operators',
        at: key,
        detail: `${strategy.database.id} ${message}`,
        message,
        weight: 'warning' as const,
        mends: readings.map(([name, text]) => ({
          text: name,
          mend: { kind: 'writeText' as const, line: key, text },
        })),
      }));
    });
    return [...ofOwn, ...ofWritten];
  },
};

/** What the text may mean, each with the parentheses that make it certain; null where it is certain already. */
function readingsOf(text: string): [name: string, text: string][] | null {
  const syntax = parseCqlSyntax(text);
  if (!syntax.ok || syntax.tree.mixed.length === 0) return null;
  const [fromLeft, andFirst] = [false, true].map((first) => grouped(text, syntax.tree.root, first));
  const readings: [string, string | null | undefined][] =
    fromLeft === andFirst
      ? [['Write the parentheses', fromLeft]]
      : [
          ['Read from left to right', fromLeft],
          ['Read AND first', andFirst],
        ];
  return readings.flatMap(([name, written]): [string, string][] =>
    written == null ? [] : [[name, written]],
  );
}

/** The text with parentheses that make one reading certain; null where that reading cannot be written. */
function grouped(text: string, root: CqlNode, andFirst: boolean): string | null {
  const written = write(text, root, andFirst);
  // What is written must mean something, or nobody is helped.
  const read = parseCql(written, { vocabulary: '', limitFields: fieldsIn(written), lineNamed: () => 1 });
  return read.ok && printCql(read.query, { vocabulary: '' }) !== '' ? written : null;
}

function write(text: string, node: CqlNode, andFirst: boolean): string {
  if (node.kind === 'clause') return sourceOf(text, node);
  if (node.operator === 'prox') {
    return `${write(text, node.left, andFirst)} ${operatorOf(text, node)} ${write(text, node.right, andFirst)}`;
  }
  const chain = chainOf(node);
  const parts = chain.parts.map((part) => {
    const grouped = write(text, part, andFirst);
    return part.kind === 'boolean' && part.operator !== 'prox' ? `(${grouped})` : grouped;
  });
  if (!andFirst) {
    return parts.reduce((left, part, i) => {
      const before = chain.operators[i - 1] ?? '';
      const changes = i > 1 && before !== chain.operators[i - 2];
      return i === 0 ? part : `${changes ? `(${left})` : left} ${before} ${part}`;
    }, '');
  }
  // AND binds its neighbours before OR and NOT join them.
  const groups: { operator: string; parts: string[] }[] = [];
  parts.forEach((part, i) => {
    const operator = chain.operators[i - 1] ?? '';
    const last = groups.at(-1);
    if (operator === 'and' && last !== undefined) last.parts.push(part);
    else groups.push({ operator, parts: [part] });
  });
  const grouped = groups.map((group) =>
    group.parts.length > 1 && groups.length > 1
      ? `(${group.parts.join(' and ')})`
      : group.parts.join(' and '),
  );
  return grouped.reduce((left, part, i) => {
    const { operator = '' } = groups[i] ?? {};
    const changes = i > 1 && operator !== groups[i - 1]?.operator;
    return i === 0 ? part : `${changes ? `(${left})` : left} ${operator} ${part}`;
  }, '');
}

/** What stands side by side within the same parentheses. */
function chainOf(root: CqlNode): { parts: CqlNode[]; operators: string[] } {
  const parts: CqlNode[] = [];
  const operators: string[] = [];
  let node = root;
  while (node.kind === 'boolean' && node.operator !== 'prox' && (node === root || !node.inParentheses)) {
    parts.unshift(node.right);
    operators.unshift(node.operator);
    node = node.left;
  }
  parts.unshift(node);
  return { parts, operators };
}

function sourceOf(text: string, { at, term }: Extract<CqlNode, { kind: 'clause' }>): string {
  return text.slice(at, term.at + term.text.length + (term.quoted ? 1 : 0));
}

/** An operator as it is written, with what modifies it. */
function operatorOf(text: string, { at, right }: Extract<CqlNode, { kind: 'boolean' }>): string {
  let first = right;
  while (first.kind === 'boolean') first = first.left;
  return text.slice(at, first.at).replace(/[(\s]+$/, '');
}

function fieldsIn(text: string): string[] {
  return [...text.matchAll(/\bel\.([\p{L}]+)/gu)].map(([, name = '']) => name);
}
