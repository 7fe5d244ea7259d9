import { autocompletion, type CompletionContext, type CompletionResult } from '@codemirror/autocomplete';
import { defaultKeymap, history, historyKeymap } from '@codemirror/commands';
import { codeFolding, foldGutter, foldKeymap, foldService } from '@codemirror/language';
import { lintGutter, setDiagnostics, type Diagnostic } from '@codemirror/lint';
import { EditorState, type Text } from '@codemirror/state';
import { drawSelection, EditorView, keymap, lineNumbers } from '@codemirror/view';
import { blockKinds, buildKinds, drillKinds, formsOf, type Scheme, type TextFault } from '../../../core/index';

/** The text field of a sheet, with marks at faults, completion and folding. */
export interface TextEditor {
  readonly show: (text: string, faults: readonly TextFault[]) => void;
  readonly goTo: (fault: TextFault) => void;
  readonly destroy: () => void;
}

/** What the field asks its page, and tells it. */
export interface TextPage {
  readonly typed: (text: string) => void;
  readonly left: () => void;
  readonly scheme: () => Scheme;
  readonly parts: () => readonly string[];
  /** Of the page's security policy: the field's own styles are let in by it. */
  readonly nonce: string | null;
}

/** Kinds of lines, at the margin and inside a block. */
const lineKinds = [...blockKinds, 'combo', 'lane', 'focus:', 'class:', 'numbers:', 'stance:', 'bag:', 'schools:'];
const pieceKinds = [
  ...buildKinds.map((kind) => `build ${kind}`),
  ...drillKinds.map((kind) => `call ${kind}`),
  'rhythm',
  'own time',
  'say',
  'focus:',
];

/** Completes the word before the cursor: kinds of lines where a line begins, else moves and named parts. */
function completions(page: TextPage): (context: CompletionContext) => CompletionResult | null {
  return (context) => {
    const word = context.matchBefore(/[\p{L}\p{N}-]+/u);
    if (!word && !context.explicit) return null;
    const line = context.state.doc.lineAt(context.pos);
    const before = line.text.slice(0, (word?.from ?? context.pos) - line.from);
    const kinds = before === '' ? lineKinds : before.trim() === '' ? pieceKinds : [];
    return {
      from: word?.from ?? context.pos,
      options: [
        ...kinds.map((label) => ({ label, type: 'keyword' })),
        ...(before === '' ? [] : page.parts().map((label) => ({ label, type: 'variable', boost: 1 }))),
        ...(before === ''
          ? []
          : [...formsOf(page.scheme()).meanings.keys()].map((label) => ({ label, type: 'constant' }))),
      ],
      validFor: /^[\p{L}\p{N}-]*$/u,
    };
  };
}

/** A block folds: from the end of its line to the end of what is indented under it. */
function blockFold(state: EditorState, start: number): { readonly from: number; readonly to: number } | null {
  const first = state.doc.lineAt(start);
  if (first.text.trim() === '' || /^\s/.test(first.text)) return null;
  let last = first;
  for (let number = first.number + 1; number <= state.doc.lines; number += 1) {
    const line = state.doc.line(number);
    if (!/^\s+\S/.test(line.text)) break;
    last = line;
  }
  return last.number > first.number ? { from: first.to, to: last.to } : null;
}

function placeOf(doc: Text, { line, column, read }: TextFault): { readonly from: number; readonly to: number } {
  const at = doc.line(Math.min(Math.max(1, line), doc.lines));
  const from = Math.min(at.from + Math.max(0, column - 1), at.to);
  return { from, to: Math.min(from + Math.max(1, read.length), Math.max(from, at.to)) };
}

const look = EditorView.theme({
  '&': { height: '100%', fontSize: 'var(--type-small)', background: 'var(--paper)', color: 'var(--ink)' },
  '.cm-content': { caretColor: 'var(--ink)', fontFamily: 'ui-monospace, "Liberation Mono", monospace' },
  '.cm-cursor': { borderLeftColor: 'var(--ink)' },
  '.cm-gutters': { background: 'var(--canvas)', color: 'var(--ink-soft)', borderRight: '1px solid var(--line)' },
  '&.cm-focused': { outline: '3px solid var(--focus)' },
  '.cm-selectionBackground, &.cm-focused .cm-selectionBackground': { background: 'var(--line)' },
  '.cm-tooltip': { background: 'var(--raised)', color: 'var(--ink)', border: '1px solid var(--line-strong)' },
  '.cm-tooltip-autocomplete ul li[aria-selected]': { background: 'var(--action)', color: 'var(--action-ink)' },
  '.cm-foldPlaceholder': { background: 'var(--canvas)', color: 'var(--ink-soft)', border: '1px solid var(--line)' },
});

/** Opens the field in its place. What is shown from outside is told to nobody; what somebody types is told to the page. */
export function openTextEditor(place: HTMLElement, page: TextPage): TextEditor {
  let showing = false;
  const view = new EditorView({
    parent: place,
    state: EditorState.create({
      extensions: [
        ...(page.nonce === null ? [] : [EditorView.cspNonce.of(page.nonce)]),
        lineNumbers(),
        history(),
        drawSelection(),
        foldService.of(blockFold),
        codeFolding(),
        foldGutter(),
        lintGutter(),
        autocompletion({ override: [completions(page)] }),
        keymap.of([...historyKeymap, ...foldKeymap, ...defaultKeymap]),
        look,
        EditorView.contentAttributes.of({
          'aria-labelledby': 'tempo-text-label',
          'aria-describedby': 'tempo-text-faults',
          tabindex: '0',
          spellcheck: 'false',
          autocapitalize: 'off',
        }),
        EditorView.updateListener.of((update) => {
          if (update.docChanged && !showing) page.typed(update.state.doc.toString());
        }),
        EditorView.domEventHandlers({ blur: () => page.left() }),
      ],
    }),
  });
  return {
    show: (text, faults) => {
      if (view.state.doc.toString() !== text) {
        showing = true;
        view.dispatch({ changes: { from: 0, to: view.state.doc.length, insert: text } });
        showing = false;
      }
      const marks = faults.map((fault): Diagnostic => ({
        ...placeOf(view.state.doc, fault),
        severity: fault.level === 'error' ? 'error' : 'info',
        message: `${fault.what}; ${fault.mend}`,
      }));
      view.dispatch(setDiagnostics(view.state, marks));
    },
    goTo: (fault) => {
      const { from, to } = placeOf(view.state.doc, fault);
      view.focus();
      view.dispatch({ selection: { anchor: from, head: to }, scrollIntoView: true });
    },
    destroy: () => view.destroy(),
  };
}
