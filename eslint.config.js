import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  { ignores: ['dist', '.astro', '.data', '.data-*', 'node_modules', 'test-results'] },
  ...tseslint.configs.recommended,
  {
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/no-unused-expressions': ['error', { allowTernary: true, allowShortCircuit: true }],
      '@typescript-eslint/consistent-type-imports': 'error',
      eqeqeq: ['error', 'always', { null: 'ignore' }],
      'max-lines': ['error', { max: 300, skipBlankLines: true, skipComments: true }],
    },
  },
  {
    files: ['src/**/*.ts', 'src/**/*.tsx'],
    ignores: ['src/**/*.test.ts', 'src/**/*.test.tsx'],
    rules: {
      // A long list spread into arguments overflows the stack, in a worker's sooner than in a test's.
      'no-restricted-syntax': [
        'error',
        {
          selector: 'CallExpression[callee.object.name="Math"] > SpreadElement',
          message: 'Use largest() or smallest() of core/order: a long list overflows the stack.',
        },
        {
          selector:
            'CallExpression[callee.property.name=/^(push|unshift|splice|fromCharCode|apply)$/] > SpreadElement',
          message: 'Add items one by one: a long list overflows the stack.',
        },
      ],
    },
  },
  {
    files: ['src/views/**/*.tsx', 'src/views/**/*.ts', 'src/charts/**/*.tsx', 'src/table/**/*.tsx'],
    plugins: { 'react-hooks': reactHooks },
    rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
  },
);
