import tseslint from 'typescript-eslint';
import hooks from 'eslint-plugin-react-hooks';
import a11y from 'eslint-plugin-jsx-a11y';

const engineDependent = [
  'sin',
  'cos',
  'tan',
  'asin',
  'acos',
  'atan',
  'atan2',
  'exp',
  'expm1',
  'log',
  'log2',
  'log10',
  'log1p',
  'pow',
  'cbrt',
  'hypot',
  'sinh',
  'cosh',
  'tanh',
  'random',
];

export default tseslint.config(
  { ignores: ['node_modules', '.next', 'build', '.yawtrope', 'next-env.d.ts'] },
  ...tseslint.configs.strict,
  {
    rules: {
      // The compiler's noUncheckedIndexedAccess makes numeric code state its certainty with "!".
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_' },
      ],
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      eqeqeq: 'error',
      'prefer-const': 'error',
    },
  },
  {
    files: ['src/ui/**/*.tsx', 'src/app/**/*.tsx'],
    plugins: { 'react-hooks': hooks, 'jsx-a11y': a11y },
    rules: {
      ...(process.env.YAWTROPE_SWEEP === '1'
        ? hooks.configs.recommended.rules
        : {
            'react-hooks/rules-of-hooks': 'error',
            'react-hooks/exhaustive-deps':
              hooks.configs.recommended.rules['react-hooks/exhaustive-deps'],
          }),
      ...a11y.configs.recommended.rules,
      // The plan of the water is an application region: it takes focus and keys by design.
      'jsx-a11y/no-noninteractive-element-interactions': 'off',
      'jsx-a11y/no-noninteractive-tabindex': ['error', { roles: ['application'], tags: [] }],
    },
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts', '**/testing/**'],
    rules: {
      'no-restricted-properties': [
        'error',
        ...engineDependent.map((property) => ({
          object: 'Math',
          property,
          message: 'differs between engines or is random: use core/math, or pass it in',
        })),
        { object: 'Date', property: 'now', message: 'no clock in the core' },
        { object: 'performance', property: 'now', message: 'no clock in the core' },
      ],
      'no-restricted-syntax': [
        'error',
        {
          selector: "BinaryExpression[operator='**']",
          message: 'differs between engines: use core/math power',
        },
        { selector: "NewExpression[callee.name='Date']", message: 'no clock in the core' },
      ],
    },
  },
  {
    // Documents say what is run; planner, workers and jobs run it.
    files: ['src/document/**/*.ts'],
    ignores: ['**/*.test.ts', '**/testing/**'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          paths: [
            {
              name: '@/core/simulation',
              importNames: ['Simulation', 'forkOf', 'timestep', 'stepTogether'],
              message: 'a document runs nothing',
            },
            {
              name: '@/core/plan',
              importNames: ['runPlan', 'runTillHard', 'RunLoop'],
              message: 'a document runs nothing',
            },
            { name: '@/core/search', importNames: ['Rollout'], message: 'a document runs nothing' },
          ],
        },
      ],
    },
  },
);
