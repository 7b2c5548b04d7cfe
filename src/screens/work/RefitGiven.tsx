import { useState } from 'react'
import type { Bench } from '../../core/document'
import type { BeamWish } from '../../core/refit'
import { displayUnit, fromCore, sayQuantity, toCore, unitOf, type Finding } from '../../core/units'
import { closeProgram, DONE, setRefit, told, useRefit, type Told } from '../../state'
import { Findings, NumberField, Panel, SelectOf, useUnits } from '../../ui'
import { wishByDepth } from './byDepth'
import { Held, MmField } from './Held'
import { LineLink } from './LineLink'
import { ChooseProgram } from './Work'

const LIT = { dark: 'stays dark', lit: 'is burnt' } as const
const PASSES = { once: 'burnt once, with the power of the deepest', each: 'burnt every time' } as const
const BY_DEPTH = {
  even: 'the same at every depth',
  deeper: 'more the deeper it goes',
  learnt: 'by the depths that are learnt',
  toned: 'darker the deeper, by the tones that are learnt',
} as const

/** What is wanted of a cutter's program, as sentences; what cannot be told of it is asked. */
export function RefitGiven({ bench, name }: { readonly bench: Bench; readonly name: string }) {
  const { wish, cutter, answered } = useRefit()
  const units = useUnits()
  const say = (mm: number): string => sayQuantity(Math.round(mm * 100) / 100, null, displayUnit('length', units))
  const keep = (part: Partial<BeamWish>): Told => {
    void setRefit(bench, part)
    return DONE
  }
  return (
    <Panel title="Given, how it is burnt">
      {cutter !== null && (
        <p className="max-w-[46rem] py-1 text-[15px]">
          “{name}” goes from {say(cutter.lowest)} to {say(cutter.highest)} along Z
          {cutter.heights.length > 0 && (
            <>
              ; its ways lie at{' '}
              {cutter.heights
                .slice(0, 4)
                .map(({ z }) => say(z))
                .join(', ')}
            </>
          )}
          .
        </p>
      )}
      <p className="in-words max-w-[46rem] text-[15px] leading-[2.1]">
        The surface lies at{' '}
        <MmField label="Height of the surface" signed valueMm={wish.level} keep={(mm) => keep({ level: mm ?? 0 })} />: what is
        below it is burnt.
        {cutter !== null && !cutter.hasZero && !answered.includes('level') && (
          <>
            {' '}
            This program does not go above and below zero: say the height, or{' '}
            <button type="button" className="link no-print" onClick={() => keep({ level: wish.level })}>
              it lies there
            </button>
            .
          </>
        )}{' '}
        {cutter !== null && cutter.rapidBelow > 0 && (
          <>
            Below it a rapid move, first <LineLink line={cutter.rapidBelow} />,{' '}
            <SelectOf
              label="Rapid moves below the surface"
              of={LIT}
              value={wish.rapids}
              choose={(rapids) => void keep({ rapids })}
            />
            .{' '}
          </>
        )}
        {cutter !== null && cutter.stillBelow > 0 && (
          <>
            A move below it while the spindle stands, first <LineLink line={cutter.stillBelow} />,{' '}
            <SelectOf
              label="Moves while the spindle stands"
              of={LIT}
              value={wish.still}
              choose={(still) => void keep({ still })}
            />
            .{' '}
          </>
        )}
        What is gone over again is{' '}
        <SelectOf label="The same way again" of={PASSES} value={wish.passes} choose={(passes) => void keep({ passes })} />. A hole
        that is only plunged is a dot of{' '}
        <Held unit="s">
          <NumberField
            label="Seconds of a dot"
            hideLabel
            value={wish.dotSeconds}
            className="w-14"
            keep={(it) =>
              it !== null && it > 5
                ? told('A dot is 0 to 5 s: a light that stands longer sets fire.')
                : keep({ dotSeconds: it ?? 0 })
            }
          />
        </Held>
        .
      </p>
      <Powers bench={bench} wish={wish} deepest={cutter === null ? 1 : Math.max(0.01, wish.level - cutter.lowest)} keep={keep} />
      <p className="no-print flex flex-wrap gap-2 pt-2">
        <ChooseProgram bench={bench} />
        <button type="button" className="button" onClick={closeProgram}>
          Put it away
        </button>
      </p>
    </Panel>
  )
}

/** Power, by depth where that is wanted, and speed. */
function Powers(props: {
  readonly bench: Bench
  readonly wish: BeamWish
  readonly deepest: number
  readonly keep: (part: Partial<BeamWish>) => Told
}) {
  const { bench, wish, deepest, keep } = props
  const [said, say] = useState<readonly Finding[]>([])
  const [materialId, setMaterial] = useState(bench.work.material)
  const unit = displayUnit('speed', useUnits())
  const { symbol } = unitOf(unit)
  const [first, last] = [wish.power.powers[0] ?? 0.8, wish.power.powers.at(-1) ?? 0.8]
  const isLearnt = wish.power.depths.length > 2
  // Tones begin at the bare material: without any power.
  const by = isLearnt ? (first === 0 ? 'toned' : 'learnt') : wish.power.depths.length > 1 ? 'deeper' : 'even'
  const isByDepth = by === 'deeper'
  const learn = (id: string, how: 'learnt' | 'toned'): void => {
    setMaterial(id)
    const found = wishByDepth(bench, id, how === 'toned' ? 'tone' : 'depth', deepest, how === 'toned' ? wish.feed : null)
    say(found.ok ? [] : found.findings)
    if (found.ok) void keep({ ...found.value, passes: 'once' })
  }
  const materials = Object.fromEntries([
    ['', 'not said yet'],
    ...Object.entries(bench.burns.materials).map(([id, it]) => [id, it.name] as const),
  ]) as Record<string, string>
  const set = (from: number, to: number | null): Told => {
    if (!(from > 0 && from <= 1 && (to === null || (to > 0 && to <= 1)))) return told('The power is more than 0 and up to 100 %.')
    return keep({ times: 1, power: to === null ? { depths: [0], powers: [from] } : { depths: [0, deepest], powers: [from, to] } })
  }
  const percent = (label: string, value: number, change: (share: number) => Told) => (
    <Held unit="%">
      <NumberField
        label={label}
        hideLabel
        above
        value={Math.round(value * 1000) / 10}
        className="w-14"
        keep={(it) => change((it ?? 0) / 100)}
      />
    </Held>
  )
  const setFeed = (feed: number | null): Told => {
    if (!isLearnt) return keep({ feed })
    const found = wishByDepth(bench, materialId, by === 'toned' ? 'tone' : 'depth', deepest, feed)
    return found.ok ? keep(found.value) : found.findings
  }
  return (
    <div className="in-words max-w-[46rem] text-[15px] leading-[2.1]">
      Its power is{' '}
      <SelectOf
        label="Power by depth"
        of={BY_DEPTH}
        value={by}
        choose={(it) =>
          it === 'learnt' || it === 'toned'
            ? learn(materialId, it)
            : void set(it === 'even' ? last : Math.min(first, 0.2), it === 'even' ? null : last)
        }
      />
      {isLearnt ? (
        <>
          {' '}
          of{' '}
          <SelectOf
            label="Material with learnt depths"
            of={materials}
            value={materialId in materials ? materialId : ''}
            choose={(id) => learn(id, by === 'toned' ? 'toned' : 'learnt')}
          />
          : from {Math.round(first * 100)} % at the surface to {Math.round(last * 100)} % at the deepest, in{' '}
          {wish.times === 1 ? 'one pass' : `${wish.times} passes`}
        </>
      ) : isByDepth ? (
        <>
          : {percent('Power at the surface, %', first, (it) => set(it, last))} at the surface and{' '}
          {percent('Power at the deepest, %', last, (it) => set(first, it))} at the deepest
        </>
      ) : (
        <>: {percent('Power, %', first, (it) => set(it, null))}</>
      )}
      ; it is burnt at{' '}
      <Held unit={symbol}>
        <NumberField
          label={`Speed of the beam, ${symbol}`}
          hideLabel
          above
          value={wish.feed === null ? null : Number(fromCore(wish.feed, unit).toPrecision(5))}
          empty="as it was cut"
          className="w-28"
          keep={(it) => setFeed(it === null ? null : toCore(it, unit))}
        />
      </Held>
      . All of it is burnt{' '}
      <NumberField
        label="Times that all of it is burnt"
        hideLabel
        whole
        above
        value={wish.times}
        className="w-12"
        keep={(it) => ((it ?? 1) > 50 ? told('No more than 50 times.') : keep({ times: it ?? 1 }))}
      />{' '}
      {wish.times === 1 ? 'time' : 'times'}.
      <Findings findings={said} />
    </div>
  )
}
