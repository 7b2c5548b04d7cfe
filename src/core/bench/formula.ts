import { isChoice } from './fact'
import type { AnyFigure } from './figure'
import { getAt } from './path'

/** An input of a formula: `\\v{symbol}`, the symbol itself possibly with braces. */
export const SYMBOL = /\\v\{((?:[^{}]|\{[^{}]*\})*)\}/g

/** The form of a figure's formula that is in use on a document: by a choice, a plain word, or the argument itself. */
export function formInUse({ formula, forms }: AnyFigure, document: unknown, args: readonly string[]): string {
  const all = formula.split('\\quad\\text{or}\\quad')
  if (forms === undefined) return formula.trim()
  return (all[forms.of[pickOf(forms.by, document, args)] ?? 0] ?? formula).trim()
}

function pickOf(by: string, document: unknown, [first = '']: readonly string[]): string {
  if (by === '{0}') return first
  const node = getAt(document, by.replace('{0}', first))
  return isChoice(node) ? (node.chosen ?? '') : typeof node === 'string' ? node : ''
}

/** What a symbol of a formula stands for: the path of a fact, or a figure with its arguments. */
export type Target = { readonly path: string } | { readonly figure: string; readonly args: readonly string[] }

/** What a symbol stands for, for these arguments; null where the figure does not say. */
export function targetOf({ symbols }: AnyFigure, args: readonly string[], symbol: string): Target | null {
  const target = symbols[symbol]?.replace(/\{(\d)\}/g, (_, i: string) => args[Number(i)] ?? '')
  if (target === undefined) return null
  if (!target.startsWith('=')) return { path: target }
  const [figure = '', ...own] = target.slice(1).split('|')
  return { figure, args: own }
}
