import { relative } from 'node:path'

import js from '@eslint/js'
import prettier from 'eslint-config-prettier'
import vue from 'eslint-plugin-vue'
import vuetify from 'eslint-plugin-vuetify'
import globals from 'globals'
import ts from 'typescript-eslint'

import say from './voice.js'

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
  'stations/waiting',
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

// The screen sends edits and shows what comes back: it builds and rewrites no job and no shop.
const onlyEdits = [
  [
    'TSAsExpression[typeAnnotation.type=/^(TSTypeReference|TSUnknownKeyword|TSAnyKeyword)$/]',
    'is cast by hand',
  ],
  ['ObjectExpression > SpreadElement[argument.name=/^(j|job|shop|seen|wish)$/]', 'rewrites a job or a shop'],
  [
    'ObjectExpression > SpreadElement[argument.property.name=/^(job|shop|thing)$/]',
    'rewrites a job or a shop',
  ],
  [
    'AssignmentExpression > MemberExpression.left MemberExpression[property.name="value"][object.name=/^(job|shop)$/]',
    'writes into a job or a shop',
  ],
  ['Literal[raw=/^[0-9]{1,3}(_?[0-9]{3}){2,}$/]', 'holds a length in nanometres'],
  [
    'TSPropertySignature[key.name="kind"] > TSTypeAnnotation > TSStringKeyword',
    'declares an event of its own',
  ],
  ['CallExpression[callee.property.name="PUT"] > Literal[value="/api/shop"]', 'sends a shop'],
  ['VariableDeclarator[id.name="kinds"] > ArrayExpression', 'keeps a table of what things is'],
]
const inventsNoID = [['Property[key.name="id"] > TemplateLiteral', 'invents an ID']]
const never = (list) => [
  'error',
  ...list.map(([selector, message]) => ({ selector, message: `The screen ${message}.` })),
]

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
    files: ['src/**/*.ts', 'src/**/*.vue'],
    ignores: ['src/api/schema.d.ts', 'src/drawing/**'],
    rules: {
      'no-restricted-syntax': never([...onlyEdits, ...inventsNoID]),
      'vue/no-restricted-syntax': never([...onlyEdits, ...inventsNoID]),
    },
  },
  { files: ['src/**/*.ts', 'src/**/*.vue'], plugins: { say }, rules: { 'say/voice': 'error' } },
  {
    // Lines of a drawing have names of their own.
    files: ['src/drawing/**'],
    rules: { 'no-restricted-syntax': never(onlyEdits), 'vue/no-restricted-syntax': never(onlyEdits) },
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
