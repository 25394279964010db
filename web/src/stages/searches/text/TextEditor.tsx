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
}

const SEVERITY = { wrong: 'error', caution: 'warning' } as const;

/** Editing a string, with its errors in place, its brackets matched, and what can be written offered. */
export default function TextEditor(props: TextEditorProps) {
  const { label, text, quote, onChange } = props;
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
      stringLanguage(quote),
      bracketMatching(),
      autocompletion({ override: [complete], icons: false }),
      check,
      EditorView.lineWrapping,
      EditorView.contentAttributes.of({ 'aria-label': label }),
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
      className="string-editor"
      value={text}
      autoFocus
      theme="none"
      basicSetup={{
        lineNumbers: false,
        foldGutter: false,
        highlightActiveLine: false,
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
