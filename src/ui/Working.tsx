import {
  getAt,
  isChoice,
  isFact,
  sayDoubt,
  showFact,
  shownNumber,
  type Contribution,
  type Path,
  type WithDoubt,
} from '../core/bench'
import { benchChoiceSpec, labelAt, type Bench } from '../core/document'
import { doubtFromCore, printNumber, printQuantity, sayQuantity, type UnitSystem } from '../core/units'
import { engineOf, useBenchStore } from '../state'
import { figureUnit, useUnits } from './Quantity'
import { FactLink } from './FactLink'
import { Formula } from './Formula'

/** How a figure came about: formula, the same with its numbers, what it read, how far each blurs it, its source. */
export function Working({ figure }: { readonly figure: WithDoubt }) {
  const bench = useBenchStore((it) => it.bench)
  const system = useUnits()
  if (bench === null) return null
  const { def, doubt, leaves } = figure
  const numbers = figure.result.known ? withNumbers(figure, bench, system) : null
  return (
    <div className="border-l-2 border-rule pb-2 pl-3 text-[13px]">
      <Formula tex={def.formula.replace(SYMBOL, '$1')} />
      {numbers !== null && <Formula tex={numbers} />}
      <table className="w-full border-collapse">
        <caption className="pb-1 text-left text-second">
          Rests on{doubt !== null && doubt.u > 0 ? ', and how far each blurs it' : ''}
        </caption>
        <tbody>
          {[...leaves].map((path) => (
            <Input
              key={path}
              path={path}
              bench={bench}
              figure={figure}
              part={doubt?.contributions.find((it) => it.path === path)}
              system={system}
            />
          ))}
        </tbody>
      </table>
      <p className="mt-2 text-second">{sayMethod(figure, system)}</p>
      <p className="mt-1 text-second">Source: {def.source}</p>
    </div>
  )
}

function Input(props: {
  readonly path: Path
  readonly bench: Bench
  readonly figure: WithDoubt
  readonly part: Contribution | undefined
  readonly system: UnitSystem
}) {
  const { path, bench, figure, part, system } = props
  const most = figure.doubt?.contributions[0]?.c ?? 0
  return (
    <tr className="border-t border-rule align-top">
      <td className="py-1 pr-2">
        <FactLink path={path}>{labelAt(bench, path)}</FactLink>
        <span className="block text-[12px] text-second">{sayFactDoubt(bench, path)}</span>
      </td>
      <td className="num whitespace-nowrap py-1 text-right">{sayFact(bench, path)}</td>
      <td className="w-20 py-1 pl-2 text-right">
        {part !== undefined && part.c > 0 && (
          <>
            <span className="num text-[12px]">{printQuantity(0, part.c, figureUnit(figure, system)).plusMinus}</span>
            <span
              aria-hidden
              className="mt-0.5 ml-auto block h-[3px] bg-ink"
              style={{ width: `${Math.max(2, (100 * part.c) / most)}%` }}
            />
            {part.how !== 'both sides' && <span className="block text-[11px] text-second">{part.how}</span>}
          </>
        )}
      </td>
    </tr>
  )
}

function sayFact(bench: Bench, path: Path): string {
  const node = getAt(bench, path)
  if (isChoice(node)) return benchChoiceSpec(path)?.options[node.chosen ?? ''] ?? 'not chosen'
  if (!isFact(node)) return ''
  const { text, unit } = showFact(node)
  return text === '' ? 'not entered' : `${text}${unit === '' ? '' : ` ${unit}`}`
}

function sayFactDoubt(bench: Bench, path: Path): string {
  const node = getAt(bench, path)
  if (isFact(node)) return `${node.origin}, ${sayDoubt(node)}`
  return isChoice(node) ? node.origin : ''
}

function sayMethod(figure: WithDoubt, system: UnitSystem): string {
  const { def, doubt } = figure
  if (typeof def.doubt === 'object') return 'own' in def.doubt ? `± of its own: ${def.doubt.own}` : `No ±: ${def.doubt.none}`
  if (doubt === null) return 'No ± while it is not known.'
  if (doubt.u === 0 && doubt.low === doubt.high) return 'Exact: nothing it rests on is in doubt.'
  const unit = figureUnit(figure, system)
  const factor = doubt.k === 2 ? '2' : `${printNumber(doubt.k, 3)} (Student’s t, ${Math.floor(doubt.dof)} degrees of freedom)`
  const range = `${sayQuantity(doubt.low, null, unit)} to ${sayQuantity(doubt.high, null, unit)}`
  const alternatives = doubt.contributions.some((it) => it.how === 'alternatives')
    ? ` With what the counts could be instead: ${range}.`
    : ''
  return `Combined standard uncertainty ${printNumber(doubtFromCore(doubt.u, unit), 2)}; shown is ${factor} times it (GUM 5.1.3).${alternatives}`
}

const SYMBOL = /\\v\{((?:[^{}]|\{[^{}]*\})*)\}/g

/** The formula with each symbol replaced by its number, and the result. */
function withNumbers(figure: WithDoubt, bench: Bench, system: UnitSystem): string {
  const { def, args } = figure
  const right = def.formula.slice(def.formula.indexOf('=') + 1).split('\\quad')[0] ?? ''
  const number = (symbol: string): string => {
    const target = def.symbols[symbol]?.replace('{0}', args[0] ?? '') ?? ''
    return target.startsWith('=') ? figureNumber(target.slice(1), bench, system) : factNumber(target, bench)
  }
  const result = shownNumber(figure.result) ?? Number.NaN
  const filled = chooseBranch(def.formula, right, bench, args).replace(
    SYMBOL,
    (all, symbol: string, at: number, whole: string) =>
      whole.charAt(at + all.length) === '^' ? `\\left(${number(symbol)}\\right)` : number(symbol),
  )
  return `${filled} = ${texNumber(sayQuantity(result, null, figureUnit(figure, system)))}`
}

/** A formula may give one form for a belt and one for a screw; the numbers go into the one in use. */
function chooseBranch(formula: string, first: string, bench: Bench, args: readonly string[]): string {
  const screw = getAt(bench, `motion.axes.${args[0] ?? ''}.drive.chosen`) === 'screw'
  const second = formula.split('\\quad\\text{or}\\quad')[1]
  return screw && second !== undefined ? second.slice(second.indexOf('=') + 1) : first
}

function figureNumber(key: string, bench: Bench, system: UnitSystem): string {
  const [id = '', ...args] = key.split('|')
  const used = engineOf(bench).byId(id, args)
  const value = shownNumber(used.result)
  return value === null ? '?' : texNumber(sayQuantity(value, null, figureUnit(used, system)))
}

function factNumber(path: Path, bench: Bench): string {
  const fact = getAt(bench, path)
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
