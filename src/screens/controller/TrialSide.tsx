import type { ReactNode } from 'react'
import type { AnyFigure } from '../../core/bench'
import {
  accelerationTried,
  accelerationWise,
  alternateDelay,
  alternatePlay,
  bandFree,
  circlePlay,
  circleScale,
  circleSkew,
  closureDiagnosis,
  focusOfRamp,
  frequencyWise,
  kerf,
  kerfTaper,
  lateLength,
  lostWay,
  offDelay,
  onDelay,
  pointerX,
  pointerY,
  rampQuality,
  rampRayleigh,
  rampWaist,
  rectangleSkew,
  sayCause,
  sayFurther,
  WEDGE_PERCENTS,
  wedgeLight,
  worstGap,
  type Diagnosis,
  type TrialKindId,
} from '../../core/calibrate'
import { engineOf, useBenchStore } from '../../state'
import { FigureRow, Panel } from '../../ui'
import { useTrialShown } from './chosen'
import { ControllerSide } from './ControllerSide'

type Row = readonly [def: AnyFigure, more: readonly string[], label?: string]

const ROWS: Readonly<Record<TrialKindId, readonly Row[]>> = {
  delay: [
    [onDelay, []],
    [offDelay, []],
    [lateLength, []],
  ],
  outline: [[worstGap, []]],
  circle: [
    [circleScale, ['x'], 'X moved for 1 mm commanded'],
    [circleScale, ['y'], 'Y moved for 1 mm commanded'],
    [circlePlay, ['x'], 'X backlash'],
    [circlePlay, ['y'], 'Y backlash'],
    [circleSkew, []],
  ],
  rectangle: [[rectangleSkew, []]],
  alternate: [
    [alternatePlay, []],
    [alternateDelay, []],
  ],
  moves: [[lostWay, []]],
  focus: [
    [focusOfRamp, []],
    [rampWaist, ['y'], 'Radius at focus across Y'],
    [rampRayleigh, ['y'], 'Rayleigh length across Y'],
    [rampQuality, ['y'], 'Beam quality M² across Y'],
    [rampWaist, ['x'], 'Radius at focus across X'],
    [rampRayleigh, ['x'], 'Rayleigh length across X'],
    [rampQuality, ['x'], 'Beam quality M² across X'],
  ],
  pointer: [
    [pointerX, []],
    [pointerY, []],
  ],
  kerf: [
    [kerf, ['x'], 'Kerf across X'],
    [kerf, ['y'], 'Kerf across Y'],
    [kerfTaper, ['x'], 'Across X, wider at the top by'],
    [kerfTaper, ['y'], 'Across Y, wider at the top by'],
  ],
  wedge: WEDGE_PERCENTS.slice(0, -1).map((it) => [wedgeLight, [String(it)], `Light at ${it}%, of that at full`] as const),
  bands: [
    [bandFree, []],
    [frequencyWise, []],
  ],
}

const OF_PART: Readonly<Record<string, readonly Row[]>> = {
  limits: [
    [accelerationTried, []],
    [accelerationWise, []],
  ],
}

/** What is worked and judged beside a part's trials. */
export function trialSideOf(part: string) {
  return function PartSide() {
    const { kind, id } = useTrialShown(part)
    return (
      <ControllerSide part={part}>
        {id === null ? (
          <Panel title="Worked">
            <p className="py-2 text-[13.5px] text-second">Burn the pattern and read it; what it says stands here.</p>
            <PartRows part={part} />
          </Panel>
        ) : (
          <>
            <Panel title="Worked, the pattern">
              {ROWS[kind].map(([def, more, label]) => (
                <FigureRow
                  key={[def.id, ...more].join()}
                  def={def}
                  args={[id, ...more]}
                  {...(label === undefined ? {} : { label })}
                />
              ))}
              <PartRows part={part} />
            </Panel>
            {kind === 'outline' && <Causes id={id} />}
          </>
        )}
      </ControllerSide>
    )
  }
}

function PartRows({ part }: { readonly part: string }): ReactNode {
  return (OF_PART[part] ?? []).map(([def]) => <FigureRow key={def.id} def={def} args={[]} />)
}

/** Causes less likely than this are not worth a line. */
const WORTH = 0.02

/** What the gaps are likely to come from, the likeliest first, and what would decide. */
function Causes({ id }: { readonly id: string }) {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  const { result } = engineOf(bench).value(closureDiagnosis, id)
  return (
    <Panel title="What it is likely to be">
      {result.known ? (
        <Ranked diagnosis={result.value} />
      ) : (
        <p className="py-2 text-[13.5px] text-second">
          {result.why.kind === 'waiting' ? `Not known yet: ${result.why.message}.` : 'Not known yet.'}
        </p>
      )}
    </Panel>
  )
}

function Ranked({ diagnosis }: { readonly diagnosis: Diagnosis }) {
  const { causes, named, next, accounts } = diagnosis
  const faultless = accounts.find((it) => it.x === 'none' && it.y === 'none' && !it.late)?.probability ?? 0
  const rows = [
    ...causes
      .filter((it) => it.probability >= WORTH)
      .map((it) => ({ ...sayCause(it), probability: it.probability, isNamed: it === named })),
    { name: 'None of these', mend: '', probability: faultless, isNamed: named === null },
  ].sort((p, q) => q.probability - p.probability)
  return (
    <>
      <ul className="m-0 list-none p-0" data-causes>
        {rows.map(({ name, mend, probability, isNamed }) => (
          <li key={name} className="border-b border-rule py-1.5 text-[13.5px]">
            <span className="flex items-baseline justify-between gap-3">
              <span className={isNamed ? 'font-[650]' : ''}>{name}</span>
              <span className="num">{sayPercent(probability)}</span>
            </span>
            <span className="mt-0.5 block h-[3px] bg-rule" aria-hidden>
              <span className="block h-full bg-ink" style={{ width: `${probability * 100}%` }} />
            </span>
            {isNamed && mend !== '' && <span className="mt-1 block text-second">{mend}</span>}
          </li>
        ))}
      </ul>
      {next !== null && (
        <p className="py-2 text-[13.5px]">
          <b>What would decide.</b> {sayFurther(next)}
        </p>
      )}
    </>
  )
}

function sayPercent(share: number): string {
  return share > 0.995 ? 'over 99%' : share < 0.005 ? 'under 1%' : `${Math.round(share * 100)}%`
}
