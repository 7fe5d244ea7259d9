// ESLint's rule of plain words: shown text of templates and of TypeScript uses the words of the glossary.
import { refusedIn } from './plain.mjs';

/** Attributes that are read, seen or spoken. */
const shownAttributes =
  /^(?:aria-(?:label|description|roledescription|valuetext)|label|hint|placeholder|title|matTooltip|alt|action)$/;

/** Keys of file formats, of phrases and of messages that are two words long: they stay as older files have them. */
const keys = new Set([
  ...[
    'own time',
    'half way',
    'once more',
    'natural stance',
    'open break',
    'change lanes',
    'lane change',
    'each pieces',
  ],
  ...['end piece', 'mean pulse', 'most pulse', 'shut out', 'other stance', '2 edits from the book', 'keen-tempo wall'],
]);

/** Literals that name something for the program: keys, compared, typed or imported. */
function isForTheProgram({ parent, value }) {
  if (keys.has(value)) return true;
  switch (parent.type) {
    case 'ImportDeclaration':
    case 'ExportNamedDeclaration':
    case 'ExportAllDeclaration':
    case 'ImportExpression':
    case 'TSLiteralType':
    case 'SwitchCase':
    case 'MemberExpression':
      return true;
    case 'BinaryExpression':
      return parent.operator !== '+';
    case 'Property':
      return parent.key.value === value && parent.value.value !== value;
    default:
      return false;
  }
}

/** Templates and styles within TypeScript: the templates are read as HTML. */
const isAnotherLanguage = ({ parent }) =>
  parent.type === 'Property' && ['template', 'styles'].includes(parent.key.name);

/** Literals of a template that are compared, or that a press hands on. */
function isCompared({ parent }) {
  for (let at = parent; at; at = at.parent) {
    if (at.type === 'BoundEvent') return true;
    if (at.type === 'Binary' && /^[!=]==?$/.test(at.operation)) return true;
  }
  return false;
}

/** Whether a text is one that somebody reads: it has two words, begins like a sentence, or is a share. */
const isRead = (text) => /[a-z]\s+[a-z]|\{\} %/i.test(text) || /^\p{Lu}\p{Ll}+$/u.test(text.trim());

/** @type {import('eslint').Rule.RuleModule} */
export const plainWords = {
  meta: { type: 'problem', schema: [], messages: { word: '“{{ found }}”: say {{ say }}' } },
  create(context) {
    const { sourceCode } = context;
    const report = (loc, text) => {
      for (const { found, say } of refusedIn(text)) context.report({ loc, messageId: 'word', data: { found, say } });
    };
    const spanOf = ({ start, end }) => ({
      start: sourceCode.getLocFromIndex(start.offset ?? start),
      end: sourceCode.getLocFromIndex(end.offset ?? end),
    });
    // Of markup that is put together, what stands between the tags; styles are not read.
    const read = (node, text) => {
      const shown = text.replace(/<[^>]*>?/g, ' ').replace(/[\w-]+:[^;{}"]*[;}]/g, ' ');
      if (isRead(shown)) report(node.loc, shown);
    };
    if (!context.filename.endsWith('.html'))
      return {
        Literal: (node) => {
          if (typeof node.value === 'string' && !isForTheProgram(node)) read(node, node.value);
        },
        // What is filled in stands as braces.
        TemplateLiteral: (node) => {
          if (!isAnotherLanguage(node)) read(node, node.quasis.map(({ value }) => value.cooked ?? '').join('{}'));
        },
      };
    return {
      Text: (node) => report(spanOf(node.sourceSpan), node.value.trim()),
      TextAttribute: (node) => {
        if (shownAttributes.test(node.name)) report(spanOf(node.sourceSpan), node.value);
      },
      Interpolation: (node) => report(spanOf(node.sourceSpan), node.strings.join('{}').trim()),
      LiteralPrimitive: (node) => {
        if (typeof node.value === 'string' && isRead(node.value) && !isCompared(node))
          report(spanOf(node.sourceSpan), node.value);
      },
    };
  },
};
