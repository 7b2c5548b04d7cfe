import {
  figureUnit,
  formInUse,
  getAt,
  isFact,
  showFact,
  shownNumber,
  SYMBOL,
  targetOf,
  type Evaluation,
  type Path,
} from '../core/bench'
import type { Bench } from '../core/document'
import { printNumber, sayQuantity, type UnitSystem } from '../core/units'
import { engineOf } from '../state'

/** The form that is in use, in TeX, with its symbols as letters. */
export function plainFormula({ def, args }: Pick<Evaluation, 'def' | 'args'>, bench: Bench): string {
  return formInUse(def, bench, args).replace(SYMBOL, '$1')
}

/** The right side of a formula with each symbol replaced by its number, and the result behind it, in TeX. */
export function filledFormula(figure: Evaluation, bench: Bench, system: UnitSystem): string {
  const { def, args } = figure
  const number = (symbol: string): string => {
    const target = targetOf(def, args, symbol)
    if (target === null) return '?'
    return 'path' in target ? factNumber(target.path, bench) : figureNumber(target.figure, target.args, bench, system)
  }
  const result = shownNumber(figure.result) ?? Number.NaN
  const form = formInUse(def, bench, args)
  const right = form.slice(form.indexOf('=') + 1).split('\\quad')[0] ?? ''
  const filled = right
    .trim()
    .replace(SYMBOL, (all, symbol: string, at: number, whole: string) =>
      whole.charAt(at + all.length) === '^' ? `\\left(${number(symbol)}\\right)` : number(symbol),
    )
  return `${filled} = ${texNumber(sayQuantity(result, null, figureUnit(figure, system)))}`
}

function figureNumber(id: string, args: readonly string[], bench: Bench, system: UnitSystem): string {
  const engine = engineOf(bench)
  if (!engine.has(id)) return '\\dots'
  const used = engine.valueById(id, args)
  const value = shownNumber(used.result)
  return value === null ? '?' : texNumber(sayQuantity(value, null, figureUnit(used, system)))
}

function factNumber(path: Path, bench: Bench): string {
  const fact = getAt(bench, path)
  // A plain number of a list, in the unit that its name ends in.
  if (typeof fact === 'number') return texNumber(sayQuantity(fact, null, path.endsWith('Mm') ? 'mm' : 'count'))
  if (!isFact(fact) || fact.value === null) return '?'
  const { text, unit } = showFact(fact)
  return texNumber(fact.typed.includes('/') ? printNumber(fact.value) : `${text} ${unit}`.trim())
}

function texNumber(text: string): string {
  const plain = text
    .replace(/\u00a0/g, ' ')
    .replace(/−/g, '-')
    .replace(/%/g, '\\%')
    .replace(/°/g, '^\\circ')
  return plain.includes('^\\circ') ? plain : `\\text{${plain.replace(/²/g, '$^2$').replace(/³/g, '$^3$')}}`
}
