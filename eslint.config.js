import js from '@eslint/js';
import globals from 'globals';
import tseslint from 'typescript-eslint';
import jsxA11y from 'eslint-plugin-jsx-a11y';
import reactHooks from 'eslint-plugin-react-hooks';

/** Browser, Node and clock names that the pure core may not touch. */
const impure = ['window', 'document', 'navigator', 'localStorage', 'fetch', 'process', 'performance', 'crypto'];

/** What depends on the job stands in its row, so that a new one is asked for all of it. */
const jobIsNamed = {
  selector:
    "BinaryExpression[operator=/^[!=]==$/]:matches([left.name='job'], [left.property.name='job'], [left.name='use'], [left.property.name='use'])[right.value=/^(belay|rappel|tree|pick|self-belay|lower$|ascend$)/]",
  message: 'What depends on the job stands in core/things/gear/jobs.ts.',
};

/** Browsers give promises where they gave nothing before, and the page breaks when it is left. */
const effectGivesBack = {
  selector: 'CallExpression[callee.name=/^use(Layout)?Effect$/] > ArrowFunctionExpression > ChainExpression.body',
  message: 'What this call gives back is taken for the end of the effect: put it in braces.',
};

export default tseslint.config(
  { ignores: ['dist', 'node_modules', 'playwright-report', 'test-results'] },
  js.configs.recommended,
  ...tseslint.configs.recommendedTypeChecked,
  {
    languageOptions: {
      parserOptions: { projectService: { allowDefaultProject: ['*.js', '*.cjs', 'scripts/*.mjs'] } },
      globals: { ...globals.node },
    },
    rules: {
      '@typescript-eslint/consistent-type-imports': ['error', { prefer: 'type-imports' }],
      '@typescript-eslint/switch-exhaustiveness-check': 'error',
      '@typescript-eslint/no-non-null-assertion': 'off',
      eqeqeq: 'error',
      'no-console': 'off',
    },
  },
  { files: ['**/*.{js,cjs,mjs}'], ...tseslint.configs.disableTypeChecked },
  {
    files: ['core/**/*.ts'],
    ignores: ['core/**/*.test.ts'],
    rules: {
      'no-restricted-globals': ['error', ...impure],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'Randomness is passed in.' },
        { object: 'Date', property: 'now', message: 'The clock is passed in.' },
      ],
    },
  },
  {
    files: ['core/**/*.ts', 'web/**/*.{ts,tsx}', 'cli/**/*.ts'],
    ignores: ['**/*.test.{ts,tsx}', 'core/records/files/older/**', 'core/samples/**'],
    rules: { 'no-restricted-syntax': ['error', jobIsNamed, effectGivesBack] },
  },
  {
    files: ['core/{things,rigs}/{pairs,connector,fit,friction,geometry,elements}/**/*.ts'],
    ignores: ['core/**/*.test.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        jobIsNamed,
        {
          selector: "TemplateLiteral > MemberExpression[property.name='name']",
          message: 'A name goes into the text of a finding as a value: literal(x.name).',
        },
      ],
    },
  },
  {
    files: ['**/*.{ts,tsx,mjs}'],
    // Prettier keeps the code; what is written beside it is read in a narrow window too.
    rules: { 'max-len': ['error', { code: 10_000, comments: 120, ignoreUrls: true }] },
  },
  {
    // What is longer or more tangled stands in eslint-suppressions.json: it may become less there, and never more.
    files: ['{core,web,server,cli}/**/*.{ts,tsx}'],
    ignores: ['**/*.test.{ts,tsx}', '**/*.test-help.{ts,tsx}'],
    rules: {
      complexity: ['error', 12],
      'max-lines-per-function': ['error', { max: 60, skipBlankLines: true, skipComments: true }],
    },
  },
  {
    files: ['web/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': reactHooks },
    rules: { ...reactHooks.configs.recommended.rules },
    languageOptions: { globals: { ...globals.browser } },
  },
  {
    files: ['web/**/*.tsx'],
    ignores: ['**/*.test.tsx'],
    ...jsxA11y.flatConfigs.recommended,
    rules: {
      ...jsxA11y.flatConfigs.recommended.rules,
      // What scrolls sideways has to be reached with the keyboard.
      'jsx-a11y/no-noninteractive-tabindex': ['error', { roles: ['region', 'group', 'img', 'tabpanel'] }],
    },
  },
);
