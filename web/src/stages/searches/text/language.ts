/** How strings are coloured while they are typed: quoted text, operators, names of fields, numbers. */
import { HighlightStyle, StreamLanguage, syntaxHighlighting } from '@codemirror/language';
import { tags } from '@lezer/highlight';
import type { Extension } from '@codemirror/state';

const OPERATOR = /^(?:and|or|not|prox)\b/i;
/** A word, with the dots and colons that names of fields have. */
const WORD = /^[\p{L}\p{N}_][\p{L}\p{N}_.*?-]*/u;

/** @param quote what strings stand between */
export function stringLanguage(quote: '"' | "'"): Extension {
  const quoted = quote === '"' ? /^"(?:[^"\\]|\\.)*"?/ : /^'(?:[^'\\]|\\.)*'?/;
  const language = StreamLanguage.define({
    token(stream) {
      if (stream.eatSpace()) return null;
      if (stream.match(quoted)) return 'string';
      if (stream.match(OPERATOR)) return 'operator';
      if (stream.match(/^\d+\b/)) return 'number';
      if (stream.match(WORD))
        return /^\s*[(:~=<>]/.test(stream.string.slice(stream.pos)) ? 'propertyName' : 'string';
      if (stream.match(/^[()[\]]/)) return 'bracket';
      if (stream.match(/^[&|!]|^-(?=\S)/)) return 'operator';
      stream.next();
      return null;
    },
  });
  const style = HighlightStyle.define([
    { tag: tags.operator, fontWeight: '700' },
    { tag: tags.propertyName, color: 'var(--color-info)' },
    { tag: tags.string, color: 'var(--color-base-content)' },
    { tag: tags.number, color: 'var(--quiet)' },
  ]);
  return [language, syntaxHighlighting(style)];
}
