import { isChoice, isFact } from './fact'
import { partAt, type Plainly, type Shape } from './shape'

/**
 * Whether a document has a shape's keys, and values of the right kind within their range: a look before the schema's own
 * check, for what this browser itself has checked and kept. It takes no library; `schemaOf` has the last word.
 */
export function fits(shape: Shape, node: unknown): boolean {
  const { is } = shape
  switch (is.kind) {
    case 'fact':
      return isFact(node) && (node.value === null || (node.value >= is.spec.min && node.value <= is.spec.max)) && hasOrigin(node)
    case 'choice':
      return isChoice(node) && (node.chosen === null || Object.hasOwn(is.spec.options, node.chosen)) && hasOrigin(node)
    case 'group':
      return isNode(node) && sameKeys(is.parts, node) && Object.entries(is.parts).every(([key, part]) => fits(part, node[key]))
    case 'many':
      return isNode(node) && Object.keys(node).every((key) => partFits(partAt(shape, key), node[key]))
    case 'plain':
      return plainFits(is.plain, node)
    case 'late':
      return isNode(node)
  }
}

function partFits(part: Shape | undefined, node: unknown): boolean {
  return part !== undefined && fits(part, node)
}

function hasOrigin({ origin, doubt }: { readonly origin: unknown; readonly doubt: unknown }): boolean {
  return typeof origin === 'string' && isNode(doubt) && typeof doubt['kind'] === 'string'
}

function plainFits(plain: Plainly, value: unknown): boolean {
  switch (plain.as) {
    case 'text':
      return typeof value === 'string' && value.length >= plain.from && value.length <= plain.to
    case 'moment':
      return typeof value === 'string'
    case 'number':
      return typeof value === 'number' && Number.isFinite(value)
    case 'word':
      return typeof value === 'string' && plain.words.includes(value)
    case 'just':
      return value === plain.value
    case 'flag':
      return typeof value === 'boolean'
    case 'orNull':
      return value === null || plainFits(plain.of, value)
  }
}

function isNode(node: unknown): node is Readonly<Record<string, unknown>> {
  return typeof node === 'object' && node !== null && !Array.isArray(node)
}

function sameKeys(parts: object, node: object): boolean {
  const keys = Object.keys(node)
  return keys.length === Object.keys(parts).length && keys.every((key) => Object.hasOwn(parts, key))
}
