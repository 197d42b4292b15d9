import js from '@eslint/js'
import prettier from 'eslint-config-prettier'
import vue from 'eslint-plugin-vue'
import accessibility from 'eslint-plugin-vuejs-accessibility'
import globals from 'globals'
import typescript from 'typescript-eslint'

/** Places of the pages; each has a folder of its own. */
const PLACES =
  'buying|check-in|collection|decide|drawer|empties|importing|item|journal|look-back|plan|projects|settings|shelf-life|specimen|stocktaking|supply|today'
const CONTRACT_TYPES = {
  regex: '^#contract/(?!packed-items$)',
  allowTypeImports: true,
  message: 'Types only; values belong in the core.',
}

/** The floors of the pages, one way down: shell → places → ui → data. */
const floor = (files, above) => ({
  files,
  ignores: ['**/*.test.ts'],
  rules: {
    '@typescript-eslint/no-restricted-imports': [
      'error',
      {
        patterns: [
          CONTRACT_TYPES,
          { regex: `^#web/(${above})(/|$)`, message: 'The floors lead one way down: shell, places, ui, data.' },
          { regex: '^\\.\\./\\.\\.', message: 'Say where it is from the top: #web/…' },
        ],
      },
    ],
  },
})

/** The core proves its purity: no clock, no randomness, no I/O, no platform. */
const PURE = {
  'no-restricted-globals': [
    'error',
    'window',
    'document',
    'process',
    'fetch',
    'console',
    'setTimeout',
    'performance',
    'crypto',
  ],
  'no-restricted-properties': ['error', { object: 'Date', property: 'now' }, { object: 'Math', property: 'random' }],
  'no-restricted-syntax': [
    'error',
    {
      selector: "NewExpression[callee.name='Date'][arguments.length=0]",
      message: 'The core has no clock; pass the day in.',
    },
    {
      selector: 'ImportDeclaration[source.value=/^(node:|#(contract|server|web|demo))/]',
      message: 'The core imports nothing of ours and no platform.',
    },
  ],
}

export default typescript.config(
  { ignores: ['dist', 'node_modules', 'test-results'] },
  js.configs.recommended,
  ...typescript.configs.strict,
  ...vue.configs['flat/recommended'],
  ...accessibility.configs['flat/recommended'],
  prettier,
  {
    linterOptions: { reportUnusedDisableDirectives: 'error' },
    languageOptions: { globals: { ...globals.node, ...globals.browser } },
    rules: {
      eqeqeq: 'error',
      'max-lines': ['error', { max: 400, skipBlankLines: true }],
      'no-console': ['error', { allow: ['error', 'log', 'table'] }],
      // A field is left out by naming it beside the rest.
      '@typescript-eslint/no-unused-vars': ['error', { ignoreRestSiblings: true }],
      '@typescript-eslint/no-non-null-assertion': 'error',
      '@typescript-eslint/consistent-type-imports': 'error',
    },
  },
  {
    files: ['**/*.vue'],
    languageOptions: { parserOptions: { parser: typescript.parser } },
    rules: {
      'vue/require-default-prop': 'off',
      'vue/define-macros-order': 'off',
      'vue/attributes-order': 'off',
      // Vuetify's fields bring their own label element; the rule knows only plain ones.
      'vuejs-accessibility/label-has-for': 'off',
      'vuejs-accessibility/no-autofocus': 'off',
    },
  },
  // The pages take the contract's types only: what checks them on the server need not travel to the browser.
  floor(['src/web/*.ts', 'src/web/shell/**/*.{ts,vue}'], 'nothing-above'),
  floor([`src/web/{${PLACES.replaceAll('|', ',')}}/**/*.{ts,vue}`], 'shell'),
  floor(['src/web/ui/**/*.{ts,vue}'], `shell|${PLACES}`),
  floor(['src/web/{data,devices,workers}/**/*.{ts,vue}'], `shell|ui|${PLACES}`),
  // No promise of the server goes unhandled: on a full disk a rejected one would end it.
  {
    files: ['src/server/**/*.ts'],
    languageOptions: { parserOptions: { project: 'src/server/tsconfig.json' } },
    rules: {
      '@typescript-eslint/no-floating-promises': ['error', { ignoreVoid: false }],
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: false }],
    },
  },
  // Data tables are as long as their data.
  { files: ['**/*-data.ts'], rules: { 'max-lines': 'off' } },
  { files: ['src/core/**/*.ts'], ignores: ['**/*.test.ts'], rules: PURE },
)
