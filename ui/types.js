// Makes the front end's types from the server's document, the one of paths from core's own list:
//   node types.js DOCUMENT TYPES
import { readFileSync, writeFileSync } from 'node:fs'
import { argv } from 'node:process'

import openapiTS, { astToString } from 'openapi-typescript'
import ts from 'typescript'

const [document, types] = argv.slice(2)
const { createArrayTypeNode, createTypeReferenceNode } = ts.factory
const path = createTypeReferenceNode('FieldPath')
const isPath = (schema) => schema.format === 'field-path'
const ast = await openapiTS(JSON.parse(readFileSync(document, 'utf8')), {
  inject: "import type { FieldPath } from './paths'\n",
  transform: (schema) => (isPath(schema) ? (schema.items ? createArrayTypeNode(path) : path) : undefined),
})
writeFileSync(
  types,
  `// Made by make types from openapi.json. Do not change it by hand.\n\n${astToString(ast)}`,
)
