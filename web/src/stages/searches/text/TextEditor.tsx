import { autocompletion, type CompletionContext } from '@codemirror/autocomplete';
import { bracketMatching } from '@codemirror/language';
import { linter, type Diagnostic } from '@codemirror/lint';
import { EditorView, keymap } from '@codemirror/view';
import { Prec } from '@codemirror/state';
import type { Heading, Writing } from '@even-lantern/core';
import CodeMirror from '@uiw/react-codemirror';
import { useMemo, useRef } from 'react';
import { completionsAt } from './completions.js';
import { stringLanguage } from './language.js';
import type { Finding } from './readText.js';

interface TextEditorProps {
  label: string;
  text: string;
  quote: '"' | "'";
  writings: readonly Writing[];
  headings: readonly Heading[];
  /** what is wrong or to beware of, with its place */
  findings: (text: string) => readonly Finding[];
  onChange: (text: string) => void;
  /** Escape leaves the editor */
  onLeave: () => void;
  /** whether it takes the focus; it does where nothing is said */
  autoFocus?: boolean;
}

const SEVERITY = { wrong: 'error', caution: 'warning' } as const;

/** As strings look that are read. */
const LOOK = EditorView.theme({
  '&': {
    border: '1px solid var(--rule)',
    borderRadius: 'var(--radius-box)',
    background: 'var(--color-base-100)',
    color: 'var(--color-base-content)',
    maxHeight: '40vh',
  },
  '&.cm-focused': { outline: '2px solid var(--color-info)', outlineOffset: '1px' },
  '.cm-content': {
    fontFamily: 'var(--font-mono)',
    fontSize: '12.5px',
    lineHeight: '1.9',
    padding: '0.6rem',
    caretColor: 'var(--color-base-content)',
  },
  '&.cm-focused .cm-matchingBracket': { background: 'var(--bar-rest)', fontWeight: '700' },
  '&.cm-focused .cm-nonmatchingBracket': { background: 'transparent', color: 'var(--color-error)' },
  '.cm-tooltip': {
    border: '1px solid var(--rule)',
    background: 'var(--color-base-100)',
    color: 'var(--color-base-content)',
    fontSize: '13px',
  },
  '.cm-tooltip.cm-tooltip-autocomplete > ul': { fontFamily: 'var(--font-mono)', maxHeight: '16rem' },
  '.cm-tooltip.cm-tooltip-autocomplete > ul > li': { padding: '0.15rem 0.5rem' },
  '.cm-tooltip-autocomplete ul li[aria-selected]': {
    background: 'var(--color-base-content)',
    color: 'var(--color-base-100)',
  },
  '.cm-completionDetail': { fontFamily: 'var(--font-sans)', fontStyle: 'normal', opacity: '0.85' },
});

/** Editing a string, with its errors in place, its brackets matched, and what can be written offered. */
export default function TextEditor(props: TextEditorProps) {
  const { label, text, quote, onChange, autoFocus = true } = props;
  // Extensions live as long as the editor; what changes is read when it is needed.
  const latest = useRef(props);
  latest.current = props;
  const extensions = useMemo(() => {
    const complete = (context: CompletionContext) => {
      const before = context.state.sliceDoc(0, context.pos);
      if (!context.explicit && !/[\p{L}\p{N}"'.]$/u.test(before)) return null;
      const found = completionsAt(before, latest.current.writings, latest.current.headings);
      if (found === null) return null;
      return {
        from: found.from,
        filter: false,
        options: found.options.map(({ label: name, detail, insert, cursor }) => ({
          label: name,
          detail,
          apply: (view: EditorView, _completion: unknown, from: number, to: number) =>
            view.dispatch({
              changes: { from, to, insert },
              selection: { anchor: from + cursor },
            }),
        })),
      };
    };
    const check = linter(
      (view): Diagnostic[] => {
        const whole = view.state.doc.toString();
        return latest.current.findings(whole).map(({ from, to, severity, message }) => ({
          from: Math.min(from, whole.length),
          to: Math.min(Math.max(to, from + 1), whole.length),
          severity: SEVERITY[severity],
          message,
        }));
      },
      { delay: 150 },
    );
    return [
      LOOK,
      stringLanguage(quote),
      bracketMatching(),
      autocompletion({ override: [complete], icons: false }),
      check,
      EditorView.lineWrapping,
      // Told to be reached by key, since the text may be longer than what is shown of it.
      EditorView.contentAttributes.of({ 'aria-label': label, tabindex: '0' }),
      Prec.low(
        keymap.of([
          {
            key: 'Escape',
            run: () => {
              latest.current.onLeave();
              return true;
            },
          },
        ]),
      ),
    ];
  }, [quote, label]);
  return (
    <CodeMirror
      value={text}
      autoFocus={autoFocus}
      theme="none"
      basicSetup={{
        lineNumbers: false,
        foldGutter: false,
        highlightActiveLine: false,
        // The browser's own cursor and selection do.
        drawSelection: false,
        autocompletion: false,
        bracketMatching: false,
        // Tab goes on to the next control, as everywhere else.
        defaultKeymap: true,
      }}
      indentWithTab={false}
      extensions={extensions}
      onChange={onChange}
    />
  );
}
