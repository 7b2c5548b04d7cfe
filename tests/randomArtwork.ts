import fc from 'fast-check'
import { flattened } from '../src/core/artwork'
import { summariesOf } from '../src/core/work'
import { readArtwork } from '../src/data/artworkFile'

const number = fc.oneof(
  fc.double({ min: -500, max: 500, noNaN: true }).map((it) => it.toFixed(2)),
  fc.constantFrom('0', '1e400', '-1e-400', 'NaN', '50%', '3mm', '', '9'.repeat(40), '.', '1e', '12in'),
)
const word = fc.constantFrom(
  'none',
  'red',
  '#abc',
  'url(#a)',
  'inherit',
  'evenodd',
  'currentColor',
  'hidden',
  'xMidYMid slice',
  '0 0 10 10',
)
const name = fc.constantFrom(
  ...[
    'svg',
    'g',
    'use',
    'symbol',
    'rect',
    'circle',
    'ellipse',
    'line',
    'polyline',
    'polygon',
    'path',
    'defs',
    'text',
    'clipPath',
    'style',
  ],
)
const attribute = fc.oneof(
  fc.tuple(fc.constantFrom('x', 'y', 'x1', 'y2', 'cx', 'cy', 'r', 'rx', 'ry', 'width', 'height', 'stroke-width'), number),
  fc.tuple(fc.constantFrom('fill', 'stroke', 'fill-rule', 'visibility', 'preserveAspectRatio', 'viewBox', 'clip-path'), word),
  fc.tuple(fc.constant('id'), fc.constantFrom('a', 'b', 'c')),
  fc.tuple(fc.constantFrom('href', 'xlink:href'), fc.constantFrom('#a', '#b', '#c', 'other.svg#a')),
  fc.tuple(
    fc.constant('points'),
    fc.array(number, { maxLength: 9 }).map((it) => it.join(' ')),
  ),
  fc.tuple(
    fc.constant('transform'),
    fc
      .tuple(fc.constantFrom('rotate', 'scale', 'matrix', 'skewX', 'turn'), fc.array(number, { maxLength: 6 }))
      .map(([f, n]) => `${f}(${n.join(',')})`),
  ),
  fc.tuple(
    fc.constant('d'),
    fc
      .array(fc.tuple(fc.constantFrom(...Array.from('MmLlHhVvCcSsQqTtAaZz?')), fc.array(number, { maxLength: 8 })), {
        maxLength: 8,
      })
      .map((it) => it.map(([c, n]) => c + n.join(' ')).join('')),
  ),
)

interface Element {
  readonly name: string
  readonly attributes: readonly (readonly [string, string])[]
  readonly inside: readonly Element[]
}
const within = (inside: fc.Arbitrary<readonly Element[]>): fc.Arbitrary<Element> =>
  fc.record({ name, attributes: fc.array(attribute, { maxLength: 6 }), inside })
const leaf = within(fc.constant([]))
const branch = within(fc.array(leaf, { maxLength: 3 }))
const element = fc.oneof(leaf, branch, within(fc.array(fc.oneof(leaf, branch), { maxLength: 3 })))

function written({ name: tag, attributes, inside }: Element): string {
  const known = new Map(attributes)
  const said = [...known].map(([key, value]) => ` ${key}="${value}"`).join('')
  return `<${tag}${said}>${inside.map(written).join('')}</${tag}>`
}

/** Drawings by chance: all kinds of elements with numbers that make sense and numbers that do not, nested and used. */
export const randomSvg = fc
  .tuple(fc.array(element, { minLength: 1, maxLength: 6 }), fc.array(attribute, { maxLength: 4 }))
  .map(([inside, attributes]) => {
    const root = { name: 'svg', attributes, inside }
    return written(root).replace('<svg', '<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink"')
  })

/** A file with some of its bytes changed, and perhaps cut off. */
export function damaged(bytes: Uint8Array) {
  return fc
    .tuple(fc.array(fc.tuple(fc.nat(bytes.length - 1), fc.nat(255)), { maxLength: 10 }), fc.nat(bytes.length))
    .map(([changes, cut]) => {
      const changed = bytes.slice(0, cut % 4 === 0 ? Math.max(1, cut) : bytes.length)
      for (const [at, value] of changes) if (at < changed.length) changed[at] = value
      return changed
    })
}

/** What is wrong with how artwork was read; null where it was read, or refused in words. A throw is the caller's to see. */
export function wrongWithArtwork(bytes: Uint8Array): string | null {
  const read = readArtwork(bytes, 'drawing')
  if (!read.ok) return read.findings.every((it) => it.message.length > 10) ? null : 'refused without words'
  if (read.value.kind === 'picture') return null
  const { shapes, width, height } = read.value.drawing
  if (![width, height].every((it) => Number.isFinite(it) && it >= 0)) return `a size of ${width} by ${height}`
  for (const { outlines } of shapes.slice(0, 300)) {
    for (const outline of outlines) {
      if (flattened(outline, Math.max(1e-3, width / 100)).some(({ x, y }) => !Number.isFinite(x + y)))
        return 'a place that is no number'
    }
  }
  const odd =
    shapes.length < 300 ? summariesOf(read.value.drawing).find((it) => !Number.isFinite(it.length + it.area)) : undefined
  return odd === undefined ? null : `a length of ${odd.length}`
}
