import hooks from 'eslint-plugin-react-hooks';
import globals from 'globals';
import typescript from 'typescript-eslint';

/** What knows the types of every file, tests too. */
const TYPED = 'tsconfig.test.json';

export default typescript.config(
  { ignores: ['**/dist/', '**/node_modules/', 'data/', 'docs/', '**/*.generated.ts'] },
  ...typescript.configs.strict,
  {
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/no-invalid-void-type': 'off',
      eqeqeq: ['error', 'always', { null: 'ignore' }],
    },
  },
  {
    files: ['*/src/**/*.ts', '*/src/**/*.tsx'],
    languageOptions: { parserOptions: { project: TYPED, tsconfigRootDir: import.meta.dirname } },
    rules: {
      '@typescript-eslint/no-floating-promises': ['error', { ignoreVoid: true }],
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: { attributes: false } }],
      '@typescript-eslint/no-unnecessary-condition': 'error',
    },
  },
  {
    // NestJS makes modules and services from classes.
    files: ['server/**/*.ts'],
    rules: { '@typescript-eslint/no-extraneous-class': 'off' },
  },
  {
    // One place opens transactions: the store. Everybody else changes through its queue.
    files: ['server/**/*.ts'],
    ignores: ['server/src/store/**'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          paths: [{ name: 'typeorm', importNames: ['DataSource', 'QueryRunner'], message: 'Use the Store.' }],
        },
      ],
      'no-restricted-syntax': [
        'error',
        {
          selector: 'MemberExpression[property.name=/^(transaction|startTransaction|createQueryRunner)$/]',
          message: 'Changes go through Store.write, one after the other.',
        },
        {
          selector: 'CallExpression[callee.object.name="manager"][callee.property.name=/^(save|remove)$/]',
          message:
            'These open a transaction of their own within that of Store.write: insert, update, upsert or delete.',
        },
      ],
    },
  },
  {
    files: ['web/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': hooks },
    rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
  },
  {
    files: ['**/*.cjs'],
    languageOptions: { globals: { ...globals.node, ...globals.jest } },
    rules: { '@typescript-eslint/no-require-imports': 'off' },
  },
  { files: ['**/*.mjs'], languageOptions: { globals: globals.node } },
);
