import {
  figureUnit,
  getAt,
  isChoice,
  isFact,
  sayDoubt,
  showFact,
  type Contribution,
  type Path,
  type WithDoubt,
} from '../core/bench'
import { benchChoiceSpec, labelAt, type Bench } from '../core/document'
import { doubtFromCore, printNumber, printQuantity, sayQuantity, type UnitSystem } from '../core/units'
import { useBenchStore } from '../state'
import { filledFormula, plainFormula } from './filledFormula'
import { useUnits } from './Quantity'
import { FactLink } from './FactLink'
import { Formula } from './Formula'

/** How a figure came about: formula, the same with its numbers, what it read, how far each blurs it, its source. */
export function Working({ figure }: { readonly figure: WithDoubt }) {
  const bench = useBenchStore((it) => it.bench)
  const system = useUnits()
  if (bench === null) return null
  const { def, doubt, leaves } = figure
  const numbers = figure.result.known ? filledFormula(figure, bench, system) : null
  return (
    <div className="border-l-2 border-rule pb-2 pl-3 text-[13px]">
      <Formula tex={plainFormula(figure, bench)} />
      {numbers !== null && <Formula tex={numbers} />}
      <table className="w-full border-collapse" hidden={leaves.size === 0}>
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
      <td className={`py-1 text-right ${isChoice(getAt(bench, path)) ? '' : 'num whitespace-nowrap'}`}>{sayFact(bench, path)}</td>
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
