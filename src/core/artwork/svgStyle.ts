/** An element of a document, as any reader of XML gives it. */
export interface XmlNode {
  readonly name: string
  readonly attributes: Readonly<Record<string, string>>
  readonly children: readonly XmlNode[]
  /** Text that stands directly in it. */
  readonly text: string
}

/** What of a style matters for burning; as written. */
export interface Style {
  readonly fill: string
  readonly stroke: string
  readonly strokeWidth: string
  readonly fillRule: 'nonzero' | 'evenodd'
  readonly color: string
  readonly isVisible: boolean
}

export const FIRST_STYLE: Style = {
  fill: 'black',
  stroke: 'none',
  strokeWidth: '1',
  fillRule: 'nonzero',
  color: 'black',
  isVisible: true,
}

/** Declarations by simple selector: `path`, `.a`, `#b`. */
export type Rules = ReadonlyMap<string, Readonly<Record<string, string>>>

/**
 * Reads a style sheet's simple rules. @returns Them, and how many others there are: those are said, not applied.
 * Valid: selectors of one name, class or id. Source: CSS Syntax 3, as far as drawing tools write it.
 */
export function readRules(text: string): { readonly rules: Rules; readonly others: number } {
  const rules = new Map<string, Record<string, string>>()
  let others = 0
  const plain = text.replace(/\/\*[\s\S]*?\*\//g, '').replace(/<!\[CDATA\[|\]\]>/g, '')
  for (const [, selectors = '', body = ''] of plain.matchAll(/([^{}]+)\{([^{}]*)\}/g)) {
    for (const selector of selectors.split(',').map((it) => it.trim())) {
      if (/^[.#]?[\w-]+$|^\*$/.test(selector)) rules.set(selector, { ...rules.get(selector), ...readDeclarations(body) })
      else others++
    }
  }
  return { rules, others }
}

/** Declarations of a style, the last of a name counting. Valid: any text. Source: CSS Style Attributes. */
export function readDeclarations(text: string): Readonly<Record<string, string>> {
  const declared = text.split(';').flatMap((it): [string, string][] => {
    const at = it.indexOf(':')
    if (at < 0) return []
    return [
      [
        it.slice(0, at).trim().toLowerCase(),
        it
          .slice(at + 1)
          .replace(/!\s*important/i, '')
          .trim(),
      ],
    ]
  })
  return Object.fromEntries(declared)
}

/**
 * What an element says of its own style, the strongest last: attributes, rules by name, class, id, its style attribute.
 * Valid: any element. Source: SVG 2, 6.6; CSS Cascade, by specificity.
 */
export function declaredOf({ name, attributes }: XmlNode, rules: Rules): Readonly<Record<string, string>> {
  const classes = (attributes['class'] ?? '').split(/\s+/).filter((it) => it !== '')
  return {
    ...attributes,
    ...rules.get('*'),
    ...rules.get(name),
    ...classes.reduce<Readonly<Record<string, string>>>((all, it) => ({ ...all, ...rules.get(`.${it}`) }), {}),
    ...rules.get(`#${attributes['id'] ?? ''}`),
    ...readDeclarations(attributes['style'] ?? ''),
  }
}

/** The style of an element within another's. Valid: any. Source: SVG 2, 6.2: all of these are inherited. */
export function inherited(from: Style, declared: Readonly<Record<string, string>>): Style {
  const of = (name: string, before: string): string => {
    const said = declared[name]?.trim() ?? 'inherit'
    return said === 'inherit' || said === '' ? before : said
  }
  const rule = of('fill-rule', from.fillRule)
  const visibility = of('visibility', from.isVisible ? 'visible' : 'hidden')
  return {
    fill: of('fill', from.fill),
    stroke: of('stroke', from.stroke),
    strokeWidth: of('stroke-width', from.strokeWidth),
    fillRule: rule === 'evenodd' ? 'evenodd' : 'nonzero',
    color: of('color', from.color),
    isVisible: visibility === 'visible',
  }
}
