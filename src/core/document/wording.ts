import {
  figureUnit,
  getAt,
  isFact,
  sayUnknown,
  showFact,
  shownNumber,
  type AnyFigure,
  type Engine,
  type FigureDef,
  type Verdict,
  type Wording,
} from '../bench'
import { sayQuantity, type UnitSystem } from '../units'
import type { Bench } from './bench'
import { labelAt } from './places'

/** A verdict's sentence and what to do next, its numbers printed in a system of units. */
export function wordingOf(engine: Engine<Bench>, verdict: Verdict, system: UnitSystem): Wording {
  const { bench } = engine
  const print = (def: AnyFigure, ...args: string[]): string => {
    const figure = engine.withDoubt(def as FigureDef<Bench>, ...args)
    const value = shownNumber(figure.result)
    if (value === null) return '(not known)'
    const say = (it: number): string => sayQuantity(it, figure.doubt?.expanded ?? null, figureUnit(figure, system))
    const { signs } = figure.def
    return signs === undefined ? say(value) : `${value < 0 ? signs.below : signs.above} ${say(Math.abs(value))}`
  }
  const said = verdict.def.say({
    mark: verdict.reads,
    args: verdict.args,
    margin: shownNumber(verdict.margin.result) ?? Number.NaN,
    figure: print,
    fact: (path) => sayFact(bench, path),
    word: (path) => String(getAt(bench, path)),
    keys: (path) => Object.keys(getAt(bench, path) ?? {}),
  })
  if (verdict.unknown === null) return said
  const { message, path } = sayUnknown(verdict.unknown, (it) => labelAt(bench, it))
  // What is not known for want of a piece of work leads to that work, as the verdict says itself.
  const next = path === undefined ? said.next : { words: 'Enter it', path }
  return { head: said.head, why: message, ...(next === undefined ? {} : { next }) }
}

function sayFact(bench: Bench, path: string): string {
  const node = getAt(bench, path)
  if (!isFact(node)) return ''
  const { text, unit } = showFact(node)
  return `${text}${unit === '' || unit === '°' || unit === '%' ? unit : `\u00a0${unit}`}`
}
