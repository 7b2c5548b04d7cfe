import js from '@eslint/js'
import hooks from 'eslint-plugin-react-hooks'
import tseslint from 'typescript-eslint'

const NO_CLOCK = [
  {
    selector: "CallExpression[callee.object.name='Date'][callee.property.name='now']",
    message: 'The core has no clock: take `now` as an argument.',
  },
  {
    selector: "NewExpression[callee.name='Date'][arguments.length=0]",
    message: 'The core has no clock: take `now` as an argument.',
  },
  {
    selector: "MemberExpression[object.name='Math'][property.name='random']",
    message: 'The core has no random source: take one as an argument.',
  },
  { selector: "Program > VariableDeclaration[kind='let']", message: 'No module-level let in the core.' },
]
const NAMED = { selector: 'ExportDefaultDeclaration', message: 'Named exports only.' }

export default tseslint.config(
  { ignores: ['dist', '.reports', '.tsbuild', 'test-results', 'public', '**/*.mjs', '**/*.cjs', 'eslint.config.js'] },
  js.configs.recommended,
  tseslint.configs.strictTypeChecked,
  {
    languageOptions: { parserOptions: { projectService: true } },
    rules: {
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      '@typescript-eslint/no-confusing-void-expression': [
        'error',
        { ignoreArrowShorthand: true, ignoreVoidOperator: true, ignoreVoidReturningFunctions: true },
      ],
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/no-dynamic-delete': 'off',
    },
  },
  { files: ['src/**/*.ts', 'src/**/*.tsx', 'server/**/*.ts'], rules: { 'no-restricted-syntax': ['error', NAMED] } },
  {
    files: ['src/**/*.ts', 'src/**/*.tsx'],
    ignores: ['**/*.test.ts', 'src/core/zod.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        { paths: [{ name: 'zod', message: 'Take `z` from core/zod.ts: its policy is set there.' }] },
      ],
    },
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts', 'src/core/zod.ts'],
    rules: {
      'no-restricted-syntax': ['error', NAMED, ...NO_CLOCK],
      'no-restricted-imports': ['error', { paths: ['zod'], patterns: ['react', 'react-*', 'zustand*', 'dexie*', 'node:*'] }],
    },
  },
  {
    files: ['src/**/*.tsx', 'src/**/*.ts'],
    ignores: ['src/core/**'],
    plugins: { 'react-hooks': hooks },
    rules: hooks.configs.recommended.rules,
  },
  {
    files: ['**/*.test.ts', '**/*.test.tsx', 'tests/**/*.ts', 'perf/**/*.ts'],
    rules: {
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-unsafe-assignment': 'off',
      '@typescript-eslint/no-unsafe-member-access': 'off',
      '@typescript-eslint/no-unsafe-call': 'off',
      '@typescript-eslint/no-unsafe-argument': 'off',
      '@typescript-eslint/no-unsafe-return': 'off',
      'react-hooks/rules-of-hooks': 'off',
    },
  },
)
