import { relative } from 'node:path'

import js from '@eslint/js'
import prettier from 'eslint-config-prettier'
import vue from 'eslint-plugin-vue'
import vuetify from 'eslint-plugin-vuetify'
import globals from 'globals'
import ts from 'typescript-eslint'

// The folders of src in their order: each may import from itself and from those before it.
const order = [
  'api',
  'job',
  'fields',
  'frame',
  'drawing',
  'shelf',
  'bench',
  'stations',
  'stations/mail',
  'stations/layers',
  'stations/card',
  'stations/envelope',
  'stations/paper',
  'stations/bench',
  'front',
  'counter',
  'history',
  'backups',
  'rules',
  'help',
]

const foldersInOrder = order.map((folder, i) => ({
  files: [`src/${folder}/*`],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: order.slice(i + 1).map((later) => ({
          regex: `^(\\./)?${relative(folder, later)}/[^/]+$`,
          message: `${folder} comes before ${later}: see the order of folders in eslint.config.js.`,
        })),
      },
    ],
  },
}))

export default ts.config(
  { ignores: ['node_modules', 'src/api/schema.d.ts', '.cache'] },
  js.configs.recommended,
  ts.configs.recommended,
  ...foldersInOrder,
  vue.configs['flat/recommended'],
  vuetify.configs['flat/recommended-v4'],
  {
    languageOptions: { globals: globals.browser },
  },
  {
    files: ['**/*.vue'],
    languageOptions: { parserOptions: { parser: ts.parser } },
  },
  {
    // What is promised is waited for, or it is said that it is not.
    files: ['src/**/*.ts', 'src/**/*.vue'],
    ignores: ['src/api/schema.d.ts'],
    languageOptions: {
      parserOptions: { projectService: true, extraFileExtensions: ['.vue'] },
    },
    rules: {
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: false }],
    },
  },
  prettier,
)
