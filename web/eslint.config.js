import { readdirSync } from 'node:fs';
import js from '@eslint/js';
import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

/** What each layer must not import; a feature reaches into another only by its index. The folders are the list. */
const FEATURES = readdirSync(new URL('./src/features', import.meta.url)).join('|');
const INSIDE_ANOTHER = `^(\\.\\./)+(${FEATURES})/.+`;
const forbid = (patterns) => ({ 'no-restricted-imports': ['error', { patterns }] });

export default tseslint.config(
  { ignores: ['src/api/schema.d.ts'] },
  js.configs.recommended,
  ...tseslint.configs.recommended,
  {
    files: ['src/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': hooks },
    rules: {
      ...hooks.configs.recommended.rules,
      '@typescript-eslint/no-explicit-any': 'error',
      'max-lines': ['error', 350],
    },
  },
  {
    files: ['src/**/*.tsx'],
    ignores: ['src/**/*.test.tsx'],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: {
      '@typescript-eslint/no-base-to-string': 'error',
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true, allowNever: true }],
    },
  },
  {
    files: ['src/lib/**'],
    rules: forbid([{ group: ['**/ui/**', '**/api/**', '**/features/**', '**/app/**'] }]),
  },
  { files: ['src/ui/**', 'src/api/**'], rules: forbid([{ group: ['**/features/**', '**/app/**'] }]) },
  { files: ['src/features/**'], rules: forbid([{ group: ['**/app/**'] }, { regex: INSIDE_ANOTHER }]) },
);
