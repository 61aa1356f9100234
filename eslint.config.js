import hooks from 'eslint-plugin-react-hooks'
import tseslint from 'typescript-eslint'

/** What core may not name: it has no clock, no chance and no machine of its own. */
const pure = [
  { object: 'Math', property: 'random', message: 'Core takes a seeded source as an argument.' },
  { object: 'Date', property: 'now', message: 'Core takes the time as an argument.' },
]

export default tseslint.config(
  {
    ignores: [
      '**/dist/**',
      '**/node_modules/**',
      '.data/**',
      '.stryker-tmp/**',
      'test-results/**',
      '**/*.mjs',
      '**/*.cjs',
      'eslint.config.js',
      'apps/web/vite.config.ts',
    ],
  },
  ...tseslint.configs.recommendedTypeChecked,
  {
    languageOptions: { parserOptions: { projectService: { allowDefaultProject: ['*.ts'] }, tsconfigRootDir: import.meta.dirname } },
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/switch-exhaustiveness-check': ['error', { considerDefaultExhaustiveForUnions: true }],
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/unbound-method': 'off',
      eqeqeq: 'error',
      // A module longer than this has two purposes.
      'max-lines': ['error', 350],
    },
  },
  {
    files: ['packages/core/src/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: { 'no-restricted-properties': ['error', ...pure], 'no-restricted-globals': ['error', 'Date', 'performance'] },
  },
  {
    files: ['apps/web/src/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': hooks },
    rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
  },
  {
    files: ['**/*.test.ts', '**/*.test.tsx', '**/testing/*.ts', '**/testing/*.tsx', 'e2e/**/*.ts'],
    rules: {
      'max-lines': ['error', 600],
      '@typescript-eslint/no-unsafe-call': 'off',
      '@typescript-eslint/no-unsafe-return': 'off',
      '@typescript-eslint/no-unsafe-assignment': 'off',
      '@typescript-eslint/no-unsafe-member-access': 'off',
      '@typescript-eslint/no-unsafe-argument': 'off',
    },
  },
)
