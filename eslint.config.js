import tseslint from 'typescript-eslint';
import hooks from 'eslint-plugin-react-hooks';
import a11y from 'eslint-plugin-jsx-a11y';
import globals from 'globals';

/** A test of a loader's or a shape's name: ask its record instead (`loaderOf`, `shapeOf`). */
const NAMES_TESTED = [
  ['Loader|loader', 'tray|twinTray|carousel|slot|lift|diskDrive|wire', 'loaderOf(…) in base/loaders'],
  ['oldShape|shape', 'square|round|flat', 'shapeOf(…) in base/shapes'],
  ['driven', 'tray|drawer|lift|disc|spindle', 'isTurned(…) in base/loaders'],
].flatMap(([of, names, instead]) =>
  [`[left.name=/^(${of})$/]`, `[left.property.name=/^(${of})$/]`].map((left) => ({
    selector: `BinaryExpression${left}[right.value=/^(${names})$/]`,
    message: `Ask the record: ${instead}.`,
  })),
);

export default tseslint.config(
  { ignores: ['**/dist/**', '**/node_modules/**', 'test-results/**', '.tmp/**', 'playwright-report/**'] },
  ...tseslint.configs.recommendedTypeChecked,
  {
    languageOptions: {
      parserOptions: {
        project: [
          'core/tsconfig.json',
          'lab/tsconfig.json',
          'app/tsconfig.json',
          'app/tsconfig.workers.json',
          'server/tsconfig.json',
          'e2e/tsconfig.json',
          'scripts/tsconfig.json',
        ],
        tsconfigRootDir: import.meta.dirname,
      },
    },
  },
  {
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/consistent-type-imports': 'error',
      // A stored shape's type is its description's, under a name of its own.
      '@typescript-eslint/no-empty-object-type': ['error', { allowInterfaces: 'with-single-extends' }],
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      // It takes an index that may be missing, and a member of a registry, for what they are asserted to be.
      '@typescript-eslint/no-unnecessary-type-assertion': 'off',
      eqeqeq: ['error', 'always', { null: 'ignore' }],
      'no-console': 'error',
      // What depends on a kind of loader or a shape of section stands in its record, and nowhere else.
      'no-restricted-syntax': ['error', ...NAMES_TESTED],
    },
  },
  {
    files: ['core/src/**/*.ts', 'lab/src/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      // Same inputs, same output: the clock and the seed are passed in.
      'no-restricted-globals': ['error', 'fetch', 'setTimeout', 'setInterval', 'window', 'document', 'crypto'],
      'no-restricted-syntax': [
        'error',
        {
          selector: "NewExpression[callee.name='Date'][arguments.length=0]",
          message: 'Pass the time in.',
        },
        ...NAMES_TESTED,
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'Pass the time in.' },
        { object: 'Math', property: 'random', message: 'Pass a seeded source in.' },
      ],
    },
  },
  {
    files: ['app/src/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': hooks, 'jsx-a11y': a11y },
    languageOptions: { globals: globals.browser },
    rules: {
      ...a11y.flatConfigs.recommended.rules,
      'react-hooks/rules-of-hooks': 'error',
      'react-hooks/exhaustive-deps': 'error',
      'react-hooks/set-state-in-effect': 'error',
      'jsx-a11y/no-autofocus': 'off',
      'jsx-a11y/label-has-associated-control': [
        'error',
        { assert: 'either', depth: 3, controlComponents: ['Input', 'Area', 'Select'] },
      ],
    },
  },
  {
    // The kit has the fields; a drawing's own targets are its own.
    files: ['app/src/**/*.tsx'],
    ignores: ['app/src/parts/ui/**', 'app/src/parts/draw/**'],
    rules: {
      'no-restricted-syntax': [
        'error',
        ...NAMES_TESTED,
        {
          selector: 'JSXOpeningElement[name.name=/^(input|select|details|textarea)$/]',
          message: 'Use the kit: Input, TextLine, TextArea, NumberLine, Select, Check, Fold or Slider in parts/ui.',
        },
      ],
    },
  },
  {
    files: ['scripts/**', 'server/src/**', 'e2e/**', '*.cjs'],
    languageOptions: { globals: globals.node },
    rules: { 'no-console': 'off', '@typescript-eslint/no-require-imports': 'off' },
  },
  {
    // Tests take a browser's own function and put another in its place.
    files: ['**/*.test.ts', 'e2e/**', 'scripts/bench/**'],
    rules: { '@typescript-eslint/unbound-method': 'off', 'no-restricted-syntax': 'off' },
  },
  // Plain scripts have no types to lint by.
  { files: ['**/*.{js,cjs,mjs}'], ...tseslint.configs.disableTypeChecked },
);
