import js from '@eslint/js';
import angular from 'angular-eslint';
import prettier from 'eslint-config-prettier';
import tseslint from 'typescript-eslint';

/** Houses and who may enter them: see CONTRIBUTING.md. */
const onlyIndex = {
  patterns: [{ regex: '^\\.{1,2}/.*core/(?!index$)', message: "import core's index only" }],
};

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
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              regex: '^(?!\\.{1,2}/|zod$|fastest-levenshtein$|pure-rand/)',
              message: 'core imports Zod and small pure libraries only',
            },
          ],
        },
      ],
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
  prettier,
);
