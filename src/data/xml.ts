import { XMLParser } from 'fast-xml-parser'
import { SyntaxValidator } from 'fast-xml-validator'
import type { XmlNode } from '../core/artwork'
import { refused, type Outcome } from '../core/units'

/** Attributes stand under this key of an element. */
const ATTRIBUTES = ':@'
const TEXT = '#text'

type Ordered = readonly Readonly<Record<string, unknown>>[]

/**
 * Reads XML into a tree; entities beyond the five of XML are left as they stand, and nothing is fetched.
 * @returns The first element, or what is wrong with its place.
 */
export function xmlNode(text: string): Outcome<XmlNode> {
  const wrong = faultOf(text)
  if (wrong !== null)
    return refused('xml', `The file is no whole XML, line ${wrong.line}: ${wrong.message}`, {
      line: wrong.line,
      column: wrong.column,
    })
  const parser = new XMLParser({
    preserveOrder: true,
    ignoreAttributes: false,
    attributeNamePrefix: '',
    parseTagValue: false,
    parseAttributeValue: false,
    processEntities: false,
    trimValues: false,
    ignoreDeclaration: true,
    ignorePiTags: true,
  })
  let root: XmlNode | undefined
  try {
    root = nodesOf(parser.parse(text) as Ordered)[0]
  } catch {
    return refused('xml', 'The file is nested more deeply than any drawing: it cannot be read.')
  }
  return root === undefined ? refused('xml', 'The file holds no element.') : { ok: true, value: root, findings: [] }
}

/** Where XML is not whole, and how; null where it is. */
function faultOf(text: string): { readonly message: string; readonly line: number; readonly column: number } | null {
  try {
    SyntaxValidator.validate(text, { allowBooleanAttributes: true })
    return null
  } catch (error) {
    const { message = '', line = 1, col = 1 } = error as { message?: string; line?: number; col?: number }
    return { message, line, column: col }
  }
}

function nodesOf(ordered: Ordered): readonly XmlNode[] {
  return ordered.flatMap((it): XmlNode[] => {
    const name = Object.keys(it).find((key) => key !== ATTRIBUTES)
    if (name === undefined || name === TEXT) return []
    const inside = it[name] as Ordered
    const text = inside.map((one) => (typeof one[TEXT] === 'string' ? one[TEXT] : '')).join('')
    const attributes = (it[ATTRIBUTES] ?? {}) as Readonly<Record<string, string>>
    // Prefixes of the drawing's own namespace are dropped; those of attributes stay.
    return [{ name: name.replace(/^svg:/, ''), attributes, children: nodesOf(inside), text }]
  })
}
