/**
 * Every text of the product, in one catalogue: none of it holds a word that the glossary bans, and no sentence on a screen is
 * longer than people read at a bench. A text is a string of the source with words in it, or what is written in a template.
 */
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import ts from 'typescript'
import { expect, it } from 'vitest'
import { parse } from 'vue/compiler-sfc'
import { ROOT } from './lib/run.mjs'

/** Of the glossary: what a foreman would not say, or says otherwise. */
const BANNED = [
  /\bwants?\b/i,
  /\basks? (for|of)\b/i,
  /\bcalls for\b/i,
  /\bgives? out\b/i,
  /\btold, not judged\b/i,
  /\bnot (to be had|said)\b/i,
  /\bby the rule\b/i,
  /\bwarmth\b/i,
  /\breckon/i,
  /\bseek(s|ing)?\b/i,
  /\bat the least\b/i,
  /\b(on|from) the shelf\b/i,
  /\bin the drawer\b/i,
  /\bwithout end\b/i,
  /\bmend(s|ed|ing)?\b(?! cidery)/i,
  /\btake (it|them) (in|out|back)\b/i,
  /\bto be pulled\b/i,
  /\blost on the way\b/i,
  /\bgives out first\b/i,
  /\btoo little\b(?! (gas|CO₂|\.|cracks))/i,
  /\bhow good\b/i,
  /\bcannot stand\b/i,
]
/** Words a sentence, counted between full stops. */
const MOST_WORDS = 20

const isText = (text) => /[a-z]{2,}\s+\S/.test(text)
/** Filled places count as one word. */
const plain = (text) =>
  text
    .replace(/\$\{[^}]*\}|\{\{[^}]*\}\}|\{\w+(\|\w+)?\}/g, '0')
    .replace(/\s+/g, ' ')
    .trim()

function stringsOf(source, isShown) {
  const found = []
  const file = ts.createSourceFile('a.ts', source, ts.ScriptTarget.Latest, true)
  const visit = (node) => {
    if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node) || ts.isLiteralTypeNode(node)) return
    if (ts.isNewExpression(node) && /Error$/.test(node.expression.getText(file))) return
    if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) found.push(node.text)
    if (ts.isTemplateExpression(node)) found.push(node.getText(file).slice(1, -1))
    ts.forEachChild(node, visit)
  }
  visit(file)
  return found.filter((text) => isText(text) && isShown(text))
}

const SHOWN_ATTRIBUTES = ['label', 'placeholder', 'title', 'aria-label', 'name', 'hint', 'empty', 'optional']
function templateTexts(node) {
  const own = []
  if (node.type === 2) own.push(node.content)
  if (node.type === 5) own.push(...stringsOf(`(${node.content.content})`, isShown))
  for (const prop of node.props ?? [])
    if (prop.type === 6 && SHOWN_ATTRIBUTES.includes(prop.name) && prop.value) own.push(prop.value.content)
    else if (prop.type === 7 && prop.exp) own.push(...stringsOf(`(${prop.exp.content})`, isShown))
  return [...own, ...(node.children ?? []).flatMap(templateTexts)]
}

/** Not for the eyes: queries of the page and of the database, code of the drawings. */
const isShown = (text) => !/^[.#[]|:not\(|=\[|<path|<svg|^M\d|\bselect\b|--[a-z]|=>|===/.test(text)

const ROOMS = ['words', 'kinds', 'model', 'criteria', 'weldlist', 'quantity', 'sheet', 'catalogue']
const files = [...ROOMS.map((room) => `core/src/${room}`), 'web/src']
  .flatMap((folder) => readdirSync(join(ROOT, folder), { recursive: true }).map((name) => join(folder, name)))
  .filter((file) => /\.(ts|vue)$/.test(file) && !/\.(test|bench)\.ts$|\/testing\/|walk\.ts$/.test(file))

const texts = files.flatMap((file) => {
  const source = readFileSync(join(ROOT, file), 'utf8')
  const found = []
  if (file.endsWith('.vue')) {
    const { descriptor } = parse(source)
    if (descriptor.template?.ast) found.push(...templateTexts(descriptor.template.ast))
    found.push(...stringsOf(descriptor.scriptSetup?.content ?? '', isShown))
  } else found.push(...stringsOf(source, isShown))
  return found.map((text) => ({ file, text: plain(text) })).filter(({ text }) => text !== '')
})

it('finds the texts of screens and of the computation', () => {
  expect(texts.length).toBeGreaterThan(2000)
  for (const known of ['Nothing matches. Change the search or the filters.', 'Ways to fix it'])
    expect(
      texts.some(({ text }) => text.includes(known)),
      known,
    ).toBe(true)
})

it('holds the words that the glossary bans out of them', () => {
  const wrong = texts.filter(({ text }) => BANNED.some((one) => one.test(text)))
  expect(wrong.map(({ file, text }) => `${file}: ${text}`)).toEqual([])
})

it('keeps sentences as short as they are read', () => {
  const long = texts.flatMap(({ file, text }) =>
    text
      .split(/[.:?](?:\s|$)/)
      .filter((sentence) => sentence.split(/\s+/).length > MOST_WORDS)
      .map((sentence) => `${file}: ${sentence}`),
  )
  expect(long).toEqual([])
})

it('prefers two sentences to a semicolon', () => {
  const joined = texts.filter(({ text }) => /[a-z]; [a-z]/.test(text) && !/^solid carbon-steel/.test(text))
  expect(joined.map(({ file, text }) => `${file}: ${text}`)).toEqual([])
})

/** Beginnings of words that the United States spell otherwise: as `basis/spelling.ts` has them. */
const BRITISH = new RegExp(
  [...readFileSync(join(ROOT, 'core/src/basis/spelling.ts'), 'utf8').matchAll(/^ {2}\['(\w+)', '\w+'\],$/gm)]
    .map(([, british]) => british)
    .join('|'),
  'i',
)
const isRaw = (node) => [
  ...(node.type === 2 ? [node.content] : []),
  ...(node.props ?? [])
    .filter((prop) => prop.type === 6 && prop.value && SHOWN_ATTRIBUTES.includes(prop.name))
    .map((prop) => prop.value.content),
  ...(node.children ?? []).flatMap(isRaw),
]
it('spells as the shop does: no template writes a word that the United States spell otherwise', () => {
  const wrong = files
    .filter((file) => file.endsWith('.vue'))
    .flatMap((file) => {
      const { descriptor } = parse(readFileSync(join(ROOT, file), 'utf8'))
      return descriptor.template?.ast
        ? isRaw(descriptor.template.ast).map((text) => `${file}: ${plain(text)}`)
        : []
    })
    .filter((text) => BRITISH.test(text.slice(text.indexOf(':'))) && !text.includes('/api/'))
  expect(BRITISH.source.split('|').length).toBeGreaterThan(10)
  expect(wrong).toEqual([])
})

/** What a sentence of the computation may have filled in: the names that its code gives, and how they are printed. */
const PLACE = /\{(?<name>[^{}]*)\}/g
it('has no place that nothing fills: a name of letters, or two for one and for many', () => {
  const wrong = texts
    .filter(({ file }) => file.startsWith('core/src/words/english'))
    .flatMap(({ file }) =>
      stringsOf(readFileSync(join(ROOT, file), 'utf8'), isShown).flatMap((text) =>
        [...text.replaceAll(/\$\{[^}]*\}/g, '').matchAll(PLACE)]
          .filter(({ groups }) => !/^[a-z]\w*(\|\w+)?$/i.test(groups.name))
          .map(([place]) => `${file}: ${place}`),
      ),
    )
  expect(wrong).toEqual([])
})

/** Letters that a button, a tab or a heading of a column has room for. */
const MOST_LETTERS = { button: 44, th: 26, h2: 64 }
it('fits its place: buttons, headings of columns and of parts', () => {
  const long = files
    .filter((file) => file.endsWith('.vue'))
    .flatMap((file) => {
      const { descriptor } = parse(readFileSync(join(ROOT, file), 'utf8'))
      const found = []
      const visit = (node) => {
        const most = MOST_LETTERS[node.tag]
        const text = plain(
          (node.children ?? [])
            .filter(({ type }) => type === 2)
            .map(({ content }) => content)
            .join(' '),
        )
        if (most !== undefined && text.length > most) found.push(`${file}: <${node.tag}> ${text}`)
        for (const child of node.children ?? []) visit(child)
      }
      if (descriptor.template?.ast) visit(descriptor.template.ast)
      return found
    })
  expect(long).toEqual([])
})
