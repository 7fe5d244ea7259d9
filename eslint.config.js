import js from '@eslint/js';
import angular from 'angular-eslint';
import prettier from 'eslint-config-prettier';
import tseslint from 'typescript-eslint';
import { plainWords } from './scripts/words/rule.mjs';

/** Houses and who may enter them: see CONTRIBUTING.md. */
const onlyIndex = {
  patterns: [{ regex: '^\\.{1,2}/.*core/(?!index$)', message: "import core's index only" }],
};

/** The rooms of the core in the order they build on each other: none imports one that stands behind it (CONTRIBUTING.md). */
const rooms = [
  ...[
    'moves',
    'notation',
    'mechanics',
    'progressions',
    'figure',
    'bags',
    'sheet',
    'merging',
    'stances',
    'timeline',
    'tally',
    'lanes',
    'room',
  ],
  ...[
    'script',
    'run',
    'sensors',
    'log',
    'formats',
    'book',
    'adapting',
    'composer',
    'library',
    'draft',
    'versions',
    'live',
    'progress',
    'programme',
    'walls',
    'findings',
    'audio',
    'take-home',
  ],
];

const smallLibraries = {
  regex:
    '^(?!\\.{1,2}/|zod/(?:mini|locales)$|fastest-levenshtein$|pure-rand/|ts-fsrs$|papaparse$|ical-generator$|ical\\.js$|tinyqueue$)',
  message: 'core imports Zod and small pure libraries only',
};

const never = (names, message) => ({ regex: `^(?:\\./|(?:\\.\\./)+)(?:${names.join('|')})/`, message });

/** The sheet's room holds schemas and shared words: of the rooms before it, it may know their words alone. */
const noBehaviour = {
  regex:
    '^\\.\\./(?:notation|mechanics/(?!effort$)|progressions/(?!kinds$)|figure/(?!view-names$)|bags/(?!kind-names$|own-kind$)|moves/(?!kind$))',
  message: 'sheet holds schemas and words, no behaviour',
};

/** What files may import that stand before the rooms from `first` on. */
const coreImports = (files, first, more = []) => ({
  files,
  ignores: ['core/**/*.spec.ts', 'core/index.ts'],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          smallLibraries,
          ...(first < rooms.length
            ? [never(rooms.slice(first), 'this room stands behind: see the order in CONTRIBUTING.md')]
            : []),
          ...more,
        ],
      },
    ],
  },
});

/**
 * Every control is a Material or CDK component. Bare ones stand only in the trade's own drawings (staff, strip, ruler) and
 * where the platform has the only one there is (choosing a file).
 */
const has = (names) => `:has(> :matches(TextAttribute, BoundAttribute)[name=/^(${names})$/])`;
const bareControls = {
  'no-restricted-syntax': [
    'error',
    {
      selector: `Element[name="button"]:not(${has('matButton|matIconButton|mat-menu-item|mat-tab-link|mat-list-item')})`,
      message: 'a button is matButton, matIconButton or an item of a Material part',
    },
    {
      selector: `Element[name=/^(input|textarea)$/]:not(${has('matInput|matSliderThumb')})`,
      message: 'a field is a part of app/parts/fields, or has matInput',
    },
    {
      selector: 'Element[name=/^(select|details|summary|dialog|progress|fieldset|meter|datalist)$/]',
      message: 'use the Material part',
    },
    {
      selector: 'Element:not([name="mat-toolbar"]):has(> TextAttribute[name="role"][value="toolbar"])',
      message: 'a row of tools is a mat-toolbar',
    },
    {
      // The name of the product leads home; it is no item.
      selector: `Element[name="nav"] Element[name="a"]:not(${has('matButton|mat-tab-link')}, :has(> TextAttribute[value="mark"]))`,
      message: 'a link to another view is a matButton',
    },
  ],
};
const ownDrawings = [
  'app/parts/strike-staff/**',
  'app/parts/staff-editor/**',
  'app/pages/sheet/session-strip.ts/**',
  'app/pages/calls/call-ruler.ts/**',
];
/** What stands before the application is there. */
const beforeAll = ['app/index.html'];
const fileFields = ['app/parts/fields/file-button.ts/**', 'app/pages/settings/backup-panel.html'];

export default tseslint.config(
  { ignores: ['dist', '.angular', 'out-tsc', 'node_modules', 'test-results', 'playwright-report'] },
  js.configs.recommended,
  {
    files: ['**/*.cjs'],
    languageOptions: { globals: { process: 'readonly', module: 'writable', require: 'readonly' } },
  },
  {
    files: ['**/*.mjs'],
    languageOptions: { globals: { process: 'readonly', console: 'readonly', URL: 'readonly' } },
  },
  { files: ['**/*.ts'], extends: [...tseslint.configs.strict, ...tseslint.configs.stylistic] },
  {
    files: ['**/*.ts'],
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      // What is no word and no number is not printed as one: a drill once read “[object Object] calls”.
      '@typescript-eslint/no-base-to-string': 'error',
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true, allowBoolean: true }],
      '@typescript-eslint/switch-exhaustiveness-check': ['error', { considerDefaultExhaustiveForUnions: true }],
      '@typescript-eslint/no-unused-vars': ['error', { ignoreRestSiblings: true }],
      '@typescript-eslint/consistent-type-imports': 'error',
      'max-lines': ['error', { max: 300, skipBlankLines: true, skipComments: true }],
      'no-restricted-exports': ['error', { restrictDefaultExports: { direct: true } }],
    },
    languageOptions: {
      parserOptions: {
        project: ['tsconfig.app.json', 'tsconfig.worker.json', 'tsconfig.spec.json', 'tsconfig.node.json'],
        tsconfigRootDir: import.meta.dirname,
      },
    },
  },
  {
    files: ['core/**/*.ts'],
    ignores: ['core/**/*.spec.ts'],
    rules: {
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'localStorage',
        'performance',
        'indexedDB',
        'fetch',
        'setTimeout',
        'setInterval',
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'core takes a seed' },
        { object: 'Date', property: 'now', message: 'core has no clock of its own' },
      ],
    },
  },
  coreImports(['core/*.ts'], 0),
  ...rooms.map((room, at) => coreImports([`core/${room}/**/*.ts`], at + 1, room === 'sheet' ? [noBehaviour] : [])),
  {
    files: ['core/index.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: 'ExportNamedDeclaration[source][exportKind!="type"]',
          message: 'export * only: a name by itself makes the bundler keep the whole core in one piece for every view',
        },
      ],
    },
  },
  { files: ['server/**/*.ts', 'cli/**/*.ts'], rules: { 'no-restricted-imports': ['error', onlyIndex] } },
  {
    files: ['app/**/*.ts'],
    extends: [...angular.configs.tsRecommended],
    processor: angular.processInlineTemplates,
    rules: {
      'no-restricted-imports': ['error', onlyIndex],
      '@angular-eslint/component-selector': ['error', { type: 'element', prefix: 'kt', style: 'kebab-case' }],
      '@typescript-eslint/no-extraneous-class': ['error', { allowWithDecorator: true }],
    },
  },
  {
    files: ['app/pages/*/**/*.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            ...onlyIndex.patterns,
            { regex: '/pages/|^\\.\\./(?!\\.\\./)', message: 'pages do not import pages' },
          ],
        },
      ],
    },
  },
  { files: ['playwright.config.ts'], rules: { 'no-restricted-exports': 'off' } },
  {
    files: ['app/**/*.html'],
    extends: [...angular.configs.templateRecommended, ...angular.configs.templateAccessibility],
  },
  { files: ['app/**/*.html'], ignores: [...ownDrawings, ...fileFields, ...beforeAll], rules: bareControls },
  {
    files: ['{app,core,server,cli}/**/*.{ts,html}'],
    // Spoken words are recorded: they change with their recordings.
    ignores: [
      '**/*.spec.ts',
      'core/library/**',
      'core/script/phrasebook.ts',
      'core/script/cues.ts',
      'core/bags/kinds.ts',
    ],
    plugins: { words: { rules: { plain: plainWords } } },
    rules: { 'words/plain': 'error' },
  },
  prettier,
);
