import { refused, type Finding, type Outcome } from '../units'
import { after, IDENTITY, mappedOutline, readTransform, type Affine } from './affine'
import { isNumbers, type Drawing, type Shape } from './drawing'
import type { Outline, Point } from './geometry'
import { readPathData } from './pathData'
import { ellipse, polyline, rectangle, type ShapeNumbers } from './svgShapes'
import { declaredOf, FIRST_STYLE, inherited, readRules, type Rules, type Style, type XmlNode } from './svgStyle'
import { fitViewBox, MM_OF_PIXEL, readLength, readViewBox } from './svgUnits'

/** More shapes than this are not drawn: a few nested uses make millions. */
const MOST_SHAPES = 200_000
/** Nor are more elements looked at, drawn or not. */
const MOST_ELEMENTS = 2_000_000
const DEEPEST = 64
/** Size of a drawing that says none, pixels (CSS 2.2, 10.3.2: of a replaced element). */
const USUAL = { width: 300, height: 150 }

/** What is not taken over, and what to do about it. */
const LEFT = {
  text: 'Text is not taken over: turn it into outlines in the tool that drew it',
  image: 'Pictures within the drawing are not taken over: drop them by themselves',
  clip: 'Clip paths are not applied: what they hide is there. Cut it away in the tool that drew it',
  mask: 'Masks and filters are not applied',
  foreign: 'What is no drawing (foreignObject) is left out',
  script: 'Scripts are never run',
  external: 'What stands in other files is never fetched: bring it into this one',
  lost: 'Something is used that is not in the file',
  shapes: `Nested uses make more than ${MOST_SHAPES.toLocaleString('en')} shapes: the rest is left out`,
  deep: 'Groups are nested too deeply: the rest is left out',
  number: 'A size or a transform cannot be read: that shape is left out',
  rules: 'Style rules with more than one name are not applied',
} as const
type Left = keyof typeof LEFT

/**
 * Reads a drawing. @param root The svg element, as any reader of XML gives it.
 * @returns Shapes in mm with what was left out said, each once; refused where it is no drawing.
 * Valid: SVG 2 without text, pictures, clips, masks. Source: SVG 2, chapters 5 to 10.
 */
export function readSvg(root: XmlNode): Outcome<Drawing> {
  if (root.name !== 'svg') return refused('no-svg', 'This is no SVG drawing: its first element is not “svg”.')
  const reader = new SvgReader(root)
  const drawing = reader.read()
  if (drawing.shapes.length === 0) {
    const more = reader.findings.map((it) => ` ${it.message}`).join('')
    return refused('nothing-drawn', `There is nothing in the drawing that could be burnt.${more}`)
  }
  if (![drawing.width, drawing.height].every((it) => it > 0 && it < LARGEST)) {
    return refused('no-size', 'The drawing says a size that no sheet has: set its width and height in the tool that drew it.')
  }
  return { ok: true, value: drawing, findings: reader.findings }
}

/** No drawing that is burnt is as large, mm. */
const LARGEST = 1e6

/** What an element is drawn with. */
interface Setting {
  readonly style: Style
  readonly map: Affine
  /** Window that percentages are of, user units. */
  readonly wide: number
  readonly high: number
  readonly depth: number
  /** Ids of what is being used: none may use itself. */
  readonly using: readonly string[]
}

class SvgReader {
  private readonly shapes: Shape[] = []
  private readonly byId = new Map<string, XmlNode>()
  private readonly left = new Map<Left, { count: number; first: string }>()
  private readonly pathFindings: Finding[] = []
  private rules: Rules = new Map()
  private looked = 0

  constructor(private readonly root: XmlNode) {
    this.index(root, 0)
  }

  get findings(): readonly Finding[] {
    const said = [...this.left].map(([what, { count, first }]): Finding => {
      const times = count > 1 ? ` (${count} times, first ${first})` : first === '' ? '' : ` (${first})`
      return { code: `svg-${what}`, severity: 'warning', message: `${LEFT[what]}${times}.` }
    })
    return [...said, ...this.pathFindings]
  }

  read(): Drawing {
    const { attributes } = this.root
    const box = readViewBox(attributes['viewBox'] ?? '')
    const size = (name: 'width' | 'height'): number | null => {
      const said = attributes[name]
      return said === undefined || said.trim() === 'auto' ? null : readLength(said, box?.[name] ?? null)
    }
    const [w, h] = [size('width'), size('height')]
    const wide = w ?? (box !== null && h !== null ? (h * box.width) / box.height : (box?.width ?? USUAL.width))
    const high = h ?? (box !== null ? (wide * box.height) / box.width : USUAL.height)
    const fit = box === null ? IDENTITY : fitViewBox(box, wide, high, attributes['preserveAspectRatio'] ?? '')
    const toMm: Affine = [MM_OF_PIXEL, 0, 0, -MM_OF_PIXEL, 0, high * MM_OF_PIXEL]
    const inside = { wide: box?.width ?? wide, high: box?.height ?? high }
    const style = inherited(FIRST_STYLE, declaredOf(this.root, this.rules))
    this.children(this.root, { style, map: after(toMm, fit), ...inside, depth: 0, using: [] })
    const hasUnits = [attributes['width'], attributes['height']].some((it) => /\d\s*(mm|cm|in|pt|pc|q)\s*$/i.test(it ?? ''))
    return { width: wide * MM_OF_PIXEL, height: high * MM_OF_PIXEL, hasUnits, shapes: this.shapes }
  }

  /** Finds what has an id, and the style rules. */
  private index(node: XmlNode, depth: number): void {
    const id = node.attributes['id']
    if (id !== undefined && !this.byId.has(id)) this.byId.set(id, node)
    if (node.name === 'style') {
      const { rules, others } = readRules(node.text)
      this.rules = new Map([...this.rules, ...rules])
      if (others > 0) this.leave('rules', node)
    }
    if (depth < DEEPEST * 4) for (const it of node.children) this.index(it, depth + 1)
  }

  private leave(what: Left, { name, attributes }: XmlNode): void {
    const before = this.left.get(what)
    const first = attributes['id'] === undefined ? name : `${name} “${attributes['id'].slice(0, 40)}”`
    if (before === undefined) this.left.set(what, { count: 1, first })
    else before.count++
  }

  private children(node: XmlNode, setting: Setting): void {
    if (setting.depth > DEEPEST) return this.leave('deep', node)
    for (const it of node.children) this.element(it, { ...setting, depth: setting.depth + 1 })
  }

  private element(node: XmlNode, around: Setting): void {
    if (this.shapes.length >= MOST_SHAPES || ++this.looked > MOST_ELEMENTS) return this.leave('shapes', node)
    const declared = declaredOf(node, this.rules)
    if (declared['display']?.trim() === 'none') return
    if (/^url\(/.test(declared['clip-path']?.trim() ?? '')) this.leave('clip', node)
    if ([declared['mask'], declared['filter']].some((it) => /^url\(/.test(it?.trim() ?? ''))) this.leave('mask', node)
    const own = node.name === 'svg' || node.name === 'symbol' ? IDENTITY : readTransform(declared['transform'] ?? '')
    if (own === null) return this.leave('number', node)
    const setting: Setting = { ...around, style: inherited(around.style, declared), map: after(around.map, own) }
    switch (node.name) {
      case 'g':
      case 'a':
        return this.children(node, setting)
      case 'switch':
        return node.children[0] === undefined
          ? undefined
          : this.element(node.children[0], { ...setting, depth: setting.depth + 1 })
      case 'svg':
        return this.window(node, setting, { width: node.attributes['width'], height: node.attributes['height'] })
      case 'use':
        return this.use(node, setting)
      case 'text':
        return this.leave('text', node)
      case 'image':
        return this.leave('image', node)
      case 'foreignObject':
        return this.leave('foreign', node)
      case 'script':
        return this.leave('script', node)
      default:
        return this.shape(node, declared, setting)
    }
  }

  /** A nested window, or a symbol that is used: a viewBox of its own. */
  private window(
    node: XmlNode,
    around: Setting,
    size: { readonly width: string | undefined; readonly height: string | undefined },
  ): void {
    const { attributes } = node
    const at = (name: 'x' | 'y', whole: number): number => readLength(attributes[name] ?? '0', whole) ?? 0
    const wide = readLength(size.width ?? '100%', around.wide) ?? around.wide
    const high = readLength(size.height ?? '100%', around.high) ?? around.high
    if (!(wide > 0 && high > 0)) return
    const box = readViewBox(attributes['viewBox'] ?? '')
    const fit = box === null ? IDENTITY : fitViewBox(box, wide, high, attributes['preserveAspectRatio'] ?? '')
    const moved: Affine = node.name === 'svg' ? [1, 0, 0, 1, at('x', around.wide), at('y', around.high)] : IDENTITY
    const map = after(around.map, after(moved, fit))
    this.children(node, { ...around, map, wide: box?.width ?? wide, high: box?.height ?? high })
  }

  private use(node: XmlNode, setting: Setting): void {
    const { attributes } = node
    const href = (attributes['href'] ?? attributes['xlink:href'] ?? '').trim()
    if (href !== '' && !href.startsWith('#')) return this.leave('external', node)
    const id = href.slice(1)
    const target = this.byId.get(id)
    if (target === undefined || setting.using.includes(id)) return this.leave('lost', node)
    if (setting.depth > DEEPEST) return this.leave('deep', node)
    const [x, y] = [readLength(attributes['x'] ?? '0', setting.wide) ?? 0, readLength(attributes['y'] ?? '0', setting.high) ?? 0]
    const inside: Setting = {
      ...setting,
      map: after(setting.map, [1, 0, 0, 1, x, y]),
      depth: setting.depth + 1,
      using: [...setting.using, id],
    }
    if (target.name !== 'symbol' && target.name !== 'svg') return this.element(target, inside)
    const style = inherited(inside.style, declaredOf(target, this.rules))
    const size = {
      width: attributes['width'] ?? target.attributes['width'],
      height: attributes['height'] ?? target.attributes['height'],
    }
    this.window(target, { ...inside, style }, size)
  }

  private shape(node: XmlNode, declared: Readonly<Record<string, string>>, setting: Setting): void {
    const drawn = this.outlinesOf(node, declared, setting)
    if (drawn === null) return this.leave('number', node)
    const { style, map } = setting
    if (drawn.length === 0 || !style.isVisible) return
    const colour = (it: string): string | null =>
      it === 'none' || it === 'transparent' ? null : it.toLowerCase() === 'currentcolor' ? style.color : it
    // A line encloses nothing, whatever it would be filled with.
    const fill = node.name === 'line' ? null : colour(style.fill)
    const stroke = colour(style.stroke)
    if (fill === null && stroke === null) return
    const outlines = drawn.map((it) => mappedOutline(map, it))
    if (!outlines.every(isNumbers)) return this.leave('number', node)
    const scale = Math.sqrt(Math.abs(map[0] * map[3] - map[1] * map[2]))
    const diagonal = Math.hypot(setting.wide, setting.high) / Math.SQRT2
    this.shapes.push({
      element: node.name,
      id: node.attributes['id'] ?? '',
      layer: '',
      outlines,
      fill,
      stroke,
      strokeWidth: (readLength(style.strokeWidth, diagonal) ?? 1) * scale,
      fillRule: style.fillRule,
    })
  }

  /** Outlines of a shape in its own units; empty for what is none, null where its numbers make no sense. */
  private outlinesOf(
    node: XmlNode,
    declared: Readonly<Record<string, string>>,
    { wide, high }: Setting,
  ): readonly Outline[] | null {
    const diagonal = Math.hypot(wide, high) / Math.SQRT2
    let isBad = false
    const number = (name: string, whole: number): number | null => {
      const said = declared[name]
      if (said === undefined || said === 'auto') return null
      const value = readLength(said, whole)
      if (value === null) isBad = true
      return value
    }
    const numbers = (names: Readonly<Record<string, number>>): ShapeNumbers =>
      Object.fromEntries(Object.entries(names).map(([name, whole]) => [name, number(name, whole)]))
    const one = (outline: Outline | null): readonly Outline[] | null => (isBad ? null : outline === null ? [] : [outline])
    switch (node.name) {
      case 'path': {
        const { outlines, findings } = readPathData(declared['d'] ?? '')
        const name = node.attributes['id'] === undefined ? 'A path' : `Path “${node.attributes['id'].slice(0, 40)}”`
        this.pathFindings.push(...findings.map((it) => ({ ...it, message: `${name}: ${it.message}` })))
        return outlines
      }
      case 'rect':
        return one(rectangle(numbers({ x: wide, y: high, width: wide, height: high, rx: wide, ry: high })))
      case 'circle': {
        const { cx = null, cy = null, r = null } = numbers({ cx: wide, cy: high, r: diagonal })
        return one(ellipse({ cx, cy, rx: r, ry: r }))
      }
      case 'ellipse':
        return one(ellipse(numbers({ cx: wide, cy: high, rx: wide, ry: high })))
      case 'line': {
        const { x1, y1, x2, y2 } = numbers({ x1: wide, y1: high, x2: wide, y2: high })
        const ends = [
          { x: x1 ?? 0, y: y1 ?? 0 },
          { x: x2 ?? 0, y: y2 ?? 0 },
        ]
        return one(polyline(ends, false))
      }
      case 'polyline':
      case 'polygon':
        return one(polyline(placesOf(declared['points'] ?? ''), node.name === 'polygon'))
      default:
        return []
    }
  }
}

/** Places of a polyline, up to the first that makes no sense (SVG 2, 10.6). */
function placesOf(text: string): readonly Point[] {
  const numbers = text.match(/[-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?/gi)?.map(Number) ?? []
  return Array.from({ length: Math.floor(numbers.length / 2) }, (_, i) => ({
    x: numbers[2 * i] as number,
    y: numbers[2 * i + 1] as number,
  }))
}
