import { useState } from 'react'
import { lineOfSetting, unitOfSetting } from '../../core/controller'
import { getAt, isFact, type Mark } from '../../core/bench'
import { FOLLOWS } from '../../core/electrical'
import { choicePath, compareSettings, factPath, type Bench, type ComparedSetting, type Standing } from '../../core/document'
import {
  BEAM_SETTINGS,
  confirmTyped,
  engineOf,
  takeFromMachine,
  useBenchStore,
  useMachine,
  writeSettings,
  DONE,
} from '../../state'
import { PasteListing } from './PasteListing'
import { ChoiceField, FactField, FactLink, Findings, VerdictMark } from '../../ui'
import { unitOf, type Finding } from '../../core/units'

/** By the bench beside in the machine: every setting, how far apart, and what to do. */
export function SettingsPlate() {
  const bench = useBenchStore((it) => it.bench)
  const linked = useMachine((it) => it.link === 'open')
  if (bench === null) return null
  const rows = compareSettings(engineOf(bench))
  const drawn = linked ? 'hidden sm:table-cell' : 'hidden 2xl:table-cell'
  const nothingRead = rows.every((it) => it.inMachine === null)
  return (
    <div className="mt-2 shrink-0 overflow-x-auto">
      {!linked && nothingRead && (
        <div className="mb-4">
          <PasteListing rows={rows} bench={bench} />
        </div>
      )}
      <table className="w-full border-collapse text-left" data-plate="Settings, by the bench and in the machine">
        <thead>
          <tr className="border-b border-ink text-[12px] text-second">
            <th className="py-1 pr-3 font-normal">Setting</th>
            <th className="whitespace-nowrap py-1 pr-3 text-right font-normal">By the bench</th>
            <th className="py-1 pl-2 pr-3 font-normal">In the machine</th>
            <th className="py-1 pr-3 font-normal">So</th>
            <th className={`py-1 pr-3 font-normal ${drawn}`}>
              <span className="sr-only">How far the machine is off the bench</span>
              <OffsetScale />
            </th>
            {!linked && <th className="no-print py-1 text-right font-normal">Line to type into it</th>}
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <Row key={row.setting.id} row={row} bench={bench} drawn={drawn} />
          ))}
        </tbody>
      </table>
    </div>
  )
}

function Row({ row, bench, drawn }: { readonly row: ComparedSetting; readonly bench: Bench; readonly drawn: string }) {
  const linked = useMachine((it) => it.link === 'open')
  const { setting, wanted, inMachine, differs, path, standing } = row
  // Words may break on a narrow sheet; a number and its unit stay together.
  const asOneLine = setting.kind === 'followsSpeed' ? 'wide:whitespace-nowrap' : 'whitespace-nowrap'
  return (
    <tr className="border-b border-rule" data-setting={setting.id}>
      <th scope="row" className="py-1 pr-3 font-normal">
        {setting.label}
        {linked && <span className="num block text-[11.5px] text-second">{row.key}</span>}
      </th>
      <td className={`py-1 pr-3 text-right ${asOneLine}`}>
        {wanted === null ? <Unknown row={row} /> : <Wanted row={row} wanted={wanted} bench={bench} />}
      </td>
      <td className={`py-1 pl-1.5 pr-3 ${asOneLine}`}>
        {setting.kind === 'followsSpeed' ? <ChoiceField path={choicePath(path)} /> : <FactField path={factPath(path)} />}
        <AsCounted row={row} bench={bench} />
      </td>
      <td className="py-1 pr-3">
        <span className="flex items-center gap-2 whitespace-nowrap">
          <VerdictMark mark={MARK_OF[standing]} label={sayStanding(row)} />
          <span aria-hidden className={standing === 'differs' ? 'font-[650]' : 'text-second'}>
            {shortly(row)}
          </span>
          <span className="text-[13px]">
            <Unsure row={row} />
          </span>
          {linked && wanted !== null && differs !== false && (
            <span className="no-print text-[13px]">
              <Write row={row} />
            </span>
          )}
        </span>
      </td>
      <td className={`py-1 pr-3 ${drawn}`}>
        <Offset wanted={wanted} inMachine={inMachine} differs={differs} />
      </td>
      {!linked && (
        <td className="no-print py-1 text-right text-[13px] whitespace-nowrap">
          {wanted !== null && differs !== false && <ByHand row={row} bench={bench} wanted={wanted} />}
        </td>
      )}
    </tr>
  )
}

/** What the bench says, as the machine would want it typed, and in which unit it counts. */
function Wanted({ row, wanted, bench }: { readonly row: ComparedSetting; readonly wanted: string; readonly bench: Bench }) {
  const { kind } = row.setting
  const unit =
    kind === 'followsSpeed' ? FOLLOWS[wanted === '1' ? 'yes' : 'no'] : unitOf(unitOfSetting(kind, bench.controller)).symbol
  return (
    <>
      <span className="num text-[15px]" data-wanted>
        {wanted}
      </span>
      {unit !== '' && <span className={`ml-1 text-[12px] text-second ${kind === 'followsSpeed' ? '' : 'num'}`}>{unit}</span>}
    </>
  )
}

/** Where it was typed in another unit than the machine counts in: both are said. */
function AsCounted({ row: { setting, path, inMachine }, bench }: { readonly row: ComparedSetting; readonly bench: Bench }) {
  const node = getAt(bench, path)
  const unit = unitOfSetting(setting.kind, bench.controller)
  if (!isFact(node) || node.typedUnit === unit || inMachine === null) return null
  return (
    <span className="num block text-[11.5px] text-second">
      {inMachine} {unitOf(unit).symbol} as it counts
    </span>
  )
}

/** What to do with it, in two words. */
function shortly({ standing, inMachine, wanted }: ComparedSetting): string {
  if (inMachine === null) return 'not read'
  if (wanted === null) return 'bench lacks it'
  switch (standing) {
    case 'same':
    case 'within ±':
      return 'the same'
    case 'differs':
      return 'write this'
    default:
      return 'a guess here'
  }
}

const MARK_OF: Readonly<Record<Standing, Mark>> = {
  'not known': 'unknown',
  same: 'good',
  differs: 'look',
  'within ±': 'unknown',
  guess: 'unknown',
}

function sayStanding({ standing, differs }: ComparedSetting): string {
  if (standing === 'not known') return 'not compared yet'
  if (standing === 'guess') return differs === true ? 'differs from a guess' : 'the same as a guess'
  return standing === 'same' ? 'the same' : standing === 'differs' ? 'differs' : 'differs by less than the bench may be off'
}

/** Why the bench is no reason to overwrite what is in the machine. */
function Unsure({ row }: { readonly row: ComparedSetting }) {
  const { standing, unchecked, wanted, inMachine, setting } = row
  if (standing === 'within ±') return <span className="text-second">within ±, leave it</span>
  const isGuess = standing === 'guess' || (standing === 'not known' && wanted !== null)
  if (!isGuess || unchecked === null) return null
  const own = BEAM_SETTINGS.find((it) => it === setting.kind)
  if (own === undefined || inMachine === null) return <FactLink path={unchecked}>check it</FactLink>
  return (
    <button
      type="button"
      className="link"
      aria-label={`${setting.label}: take what the machine says`}
      onClick={() => takeFromMachine(own)}
    >
      take the machine’s
    </button>
  )
}

/** Leads to what the bench lacks. */
function Unknown({ row: { setting } }: { readonly row: ComparedSetting }) {
  const path = setting.kind === 'travel' ? `motion.axes.${setting.axisId ?? ''}.travel` : null
  if (path === null) return <span className="whitespace-nowrap text-[13px] text-second">not known</span>
  return (
    <span className="whitespace-nowrap font-sans text-[13px] tracking-normal [word-spacing:normal]">
      <FactLink path={path}>enter it</FactLink>
    </span>
  )
}

function Write({ row }: { readonly row: ComparedSetting }) {
  const [findings, setFindings] = useState<readonly Finding[]>([])
  return (
    <>
      <button
        type="button"
        className="link"
        onClick={() => void writeSettings([row.setting.id]).then(setFindings)}
        aria-label={`Write ${row.setting.label}`}
      >
        {row.standing === 'differs' || row.standing === 'not known' ? 'Write' : 'Write anyway'}
      </button>
      <Findings findings={findings} />
    </>
  )
}

/** Without a link: the exact line to copy, and the word that it was typed. */
function ByHand({ row, bench, wanted }: { readonly row: ComparedSetting; readonly bench: Bench; readonly wanted: string }) {
  const [copied, setCopied] = useState(false)
  const [refused, setRefused] = useState(DONE)
  const line = lineOfSetting(row.setting, wanted, bench.controller)
  return (
    <span className="inline-flex flex-wrap items-baseline justify-end gap-x-3 max-2xl:max-w-52">
      <code className="num text-[12.5px]" data-line>
        {line}
      </code>
      <button
        type="button"
        className="link"
        aria-label={`Copy the line for ${row.setting.label}`}
        onClick={() => void navigator.clipboard.writeText(line).then(() => setCopied(true))}
      >
        {copied ? 'Copied' : 'Copy'}
      </button>
      <button
        type="button"
        className="link"
        aria-label={`${row.setting.label}: it is typed in`}
        onClick={() => void confirmTyped(row.setting.id).then(setRefused)}
      >
        Typed in
      </button>
      <Findings findings={refused} />
    </span>
  )
}

const WIDTH = 118
/** Shares that the scale names; it is even in the inverse hyperbolic sine, so that small and large offsets show. */
const NAMED = [-0.1, -0.01, -0.001, 0, 0.001, 0.01, 0.1]
const FINEST = 1e-4

function placeOf(share: number): number {
  const most = Math.asinh(0.2 / FINEST)
  const bounded = Math.max(-1, Math.min(1, Math.asinh(share / FINEST) / most))
  return WIDTH / 2 + bounded * (WIDTH / 2 - 6)
}

function OffsetScale() {
  return (
    <svg width={WIDTH} height="24" aria-hidden>
      <text x={WIDTH / 2} y="9" textAnchor="middle" fontSize="10.5" fill="var(--second)">
        machine, off the bench
      </text>
      {[-0.1, -0.001, 0.001, 0.1].map((it) => (
        <text key={it} x={placeOf(it)} y="21" textAnchor="middle" fontSize="9.5" fill="var(--second)" className="num">
          {`${it > 0 ? '+' : '−'}${Math.abs(it * 100)}%`}
        </text>
      ))}
    </svg>
  )
}

/** How far the machine's number is off the bench's, on one scale for all. */
function Offset({ wanted, inMachine, differs }: Pick<ComparedSetting, 'wanted' | 'inMachine' | 'differs'>) {
  const [w, m] = [Number(wanted), Number(inMachine?.replace(',', '.'))]
  const known = differs !== null && w > 0
  const x = known ? placeOf(differs ? m / w - 1 : 0) : 0
  return (
    <svg width={WIDTH} height="18" aria-hidden>
      <path d={`M4 9H${WIDTH - 4}`} stroke="var(--rule)" />
      {NAMED.map((it) => (
        <path
          key={it}
          d={`M${placeOf(it)} ${it === 0 ? 2 : 6}V${it === 0 ? 16 : 12}`}
          stroke={it === 0 ? 'var(--ink)' : 'var(--second)'}
          strokeWidth={it === 0 ? 1.2 : 0.7}
        />
      ))}
      {known && <circle cx={x} cy="9" r="4" fill={differs ? 'var(--teal)' : 'var(--ink)'} />}
      {known && differs && <path d={`M${WIDTH / 2} 9H${x}`} stroke="var(--teal)" strokeWidth="2" />}
    </svg>
  )
}
