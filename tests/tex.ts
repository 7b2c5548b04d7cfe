import type { Quantity } from '../src/core/units'

/** The core's unit of a quantity in SI units. Source: BIPM SI Brochure, 9th edition, tables 2 to 4. */
const SI: Partial<Readonly<Record<Quantity, number>>> = {
  length: 1e-3,
  speed: 1e-3,
  acceleration: 1e-3,
  stepsPerLength: 1e3,
  area: 1e-4,
}

/** SI units for one of the core's. */
export function si(quantity: Quantity): number {
  return SI[quantity] ?? 1
}

/** What stands between the brace at a place and its partner, and where that ends. */
function braced(text: string, at: number): { readonly inside: string; readonly end: number } {
  let depth = 0
  for (let i = at; i < text.length; i++) {
    if (text[i] === '{') depth++
    if (text[i] === '}' && --depth === 0) return { inside: text.slice(at + 1, i), end: i + 1 }
  }
  throw new Error(`a brace is not closed in ${text}`)
}

/** Replaces a command that takes braces (or, short, two digits) by what is made of them. */
function command(text: string, name: string, count: number, make: (...parts: string[]) => string): string {
  let out = text
  for (let at = out.indexOf(name); at >= 0; at = out.indexOf(name)) {
    let end = at + name.length
    const parts: string[] = []
    while (parts.length < count) {
      if (out[end] === '{') {
        const part = braced(out, end)
        parts.push(part.inside)
        end = part.end
      } else parts.push(out[end++] ?? '')
    }
    out = out.slice(0, at) + make(...parts) + out.slice(end)
  }
  return out
}

/** A formula as the product shows it, numbers in place of its inputs, as an expression for mathjs. */
export function toMaths(tex: string): string {
  let text = tex
  text = command(text, '\\mathrm', 1, (unit = '') => `*(${unit === 'mm' ? 1e-3 : 1})`)
  for (const name of ['\\dfrac', '\\tfrac']) text = command(text, name, 2, (a = '', b = '') => `((${a})/(${b}))`)
  text = command(text, '\\sqrt', 1, (a = '') => `sqrt(${a})`)
  for (let at = text.indexOf('^{'); at >= 0; at = text.indexOf('^{')) {
    const { inside, end } = braced(text, at + 1)
    text = `${text.slice(0, at)}^(${inside})${text.slice(end)}`
  }
  text = text.replace(/\\left\|(.*)\\right\|/g, 'abs($1)').replace(/\\left|\\right/g, '')
  text = text.replace(/\|([^|]*)\|/g, 'abs($1)')
  const words: readonly (readonly [RegExp, string])[] = [
    [/\\log_\{10\}/g, 'log10'],
    [/\\arcsin/g, 'asin'],
    [/\\arctan/g, 'atan'],
    [/\\(sin|cos|tan|min|max)\b/g, '$1'],
    [/\\cdot/g, '*'],
    [/\\pi/g, '(pi)'],
    [/\^\\circ/g, '*(pi/180)'],
    [/\\%/g, '*(0.01)'],
    [/\\[,;!]/g, ' '],
    [/,\s*t\s*=.*/g, ''],
  ]
  text = words.reduce((it, [from, to]) => it.replace(from, to), text)
  // What stands behind a function without brackets of its own is its argument.
  text = text.replace(/\b(asin|atan|sin|cos|tan|log10)\s*(\(\(|\()/g, '$1$2')
  return text.trim()
}
