import js from '@eslint/js';
import reactHooks from 'eslint-plugin-react-hooks';
import globals from 'globals';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  {
    ignores: [
      '**/node_modules/**',
      '**/build/**',
      '**/.react-router/**',
      'bench/.corpus/**',
      'bench/.judge/**',
      'demo/**',
      'e2e/.results/**',
      // Written as people of that framework write, and checked by its own compiler.
      'e2e/injection/**',
    ],
  },
  js.configs.recommended,
  ...tseslint.configs.strict,
  {
    rules: {
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-non-null-assertion': 'error',
      '@typescript-eslint/no-invalid-void-type': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { ignoreRestSiblings: true }],
      eqeqeq: 'error',
      'no-restricted-syntax': ['error', { selector: 'TSEnumDeclaration', message: 'Use a union of literals.' }],
    },
  },
  { files: ['web/app/**/*.{ts,tsx}'], ...reactHooks.configs.flat['recommended-latest'] },
  // It speaks of the React compiler, which is not used here.
  { files: ['web/app/**/*.{ts,tsx}'], rules: { 'react-hooks/incompatible-library': 'off' } },
  {
    files: ['{core,cli,testing,bench}/src/**/*.ts', 'web/app/**/*.{ts,tsx}'],
    ignores: ['**/*.test.*'],
    rules: { 'max-lines-per-function': ['error', 100] },
  },
  {
    files: ['core/src/**/*.ts'],
    ignores: ['**/*.test.*'],
    rules: {
      'no-restricted-syntax': [
        'error',
        { selector: 'TSEnumDeclaration', message: 'Use a union of literals.' },
        {
          selector: 'CallExpression[callee.property.name=/^(push|unshift)$/] > SpreadElement',
          message: 'A source may hold more of anything than fits on the stack: use append of model/append.',
        },
      ],
    },
  },
  { files: ['**/*.mjs', '**/*.js'], languageOptions: { globals: globals.node } },
);
