// What the screen says follows the voice of the program: sentences of at most twenty words, and
// none of the phrases of docs/phrases.txt that are marked for the screen.
import { readFileSync } from 'node:fs'

const most = 20
const never = readFileSync(new URL('../docs/phrases.txt', import.meta.url), 'utf8')
  .split('\n')
  .map((line) => line.split(' | '))
  .filter(([, where]) => where?.includes('screen'))
  .map(
    ([phrase]) =>
      new RegExp(`\\b${RegExp.escape?.(phrase) ?? phrase.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}\\b`, 'i'),
  )

function create(context) {
  function hears(node, said) {
    for (const phrase of never) {
      if (phrase.test(said)) context.report({ node, message: `“${said.trim()}” has ${phrase}.` })
    }
    for (const sentence of said.split(/[.!?]\s/)) {
      const words = sentence.split(/\s+/).filter(Boolean).length
      if (words > most) context.report({ node, message: `A sentence of ${words} words: ${sentence.trim()}.` })
    }
  }
  /** Of a script, what begins as a sentence does, or as a label of several words. */
  const spoken = (text) => /^[A-Z][^\n]* /.test(text)
  const script = {
    Literal: (node) => typeof node.value === 'string' && spoken(node.value) && hears(node, node.value),
    TemplateElement: (node) => hears(node, node.value.cooked ?? ''),
  }
  const read = new Set(['label', 'placeholder', 'title', 'text', 'note', 'aria-label'])
  const template = {
    ...script,
    VText: (node) => hears(node, node.value.replace(/\s+/g, ' ')),
    'VAttribute[directive=false]': (node) =>
      read.has(node.key.rawName) && node.value && hears(node, node.value.value),
  }
  const { defineTemplateBodyVisitor } = context.sourceCode.parserServices
  return defineTemplateBodyVisitor ? defineTemplateBodyVisitor(template, script) : script
}

export default { rules: { voice: { create } } }
