import { nearestBlocks, nearestPatterns, spacerFor, THREAD_NAMES, type ThreadName } from '../../core/fasteners'
import { mountGap } from '../../core/schedule'
import { shownNumber } from '../../core/bench'
import { useState } from 'react'
import { sayQuantity } from '../../core/units'
import { useBenchStore, useFigure } from '../../state'
import { ChoiceField, FactField, Panel, SelectOf, Sentence, useUnits } from '../../ui'

/** Fits that any part uses: shaft, bush, what the making takes or gives; and flanges that look alike. */
export function Fits() {
  const bench = useBenchStore((it) => it.bench)
  const system = useUnits()
  if (bench === null) return null
  const read = bench.plan.fits.holes.value
  const say = (mm: number): string => sayQuantity(Number(mm.toFixed(2)), null, system === 'metric' ? 'mm' : 'in')
  return (
    <Panel title="Given, fits">
      <Sentence>
        A shaft of <FactField path="plan.fits.shaft" /> runs with <FactField path="plan.fits.play" /> of play; a bush of{' '}
        <FactField path="plan.fits.bush" /> is pressed in with <FactField path="plan.fits.press" /> of squeeze. The part is{' '}
        <ChoiceField path="plan.fits.making" />, which takes or gives <FactField path="plan.fits.allowance" />. Two holes of a
        flange stand <FactField path="plan.fits.holes" /> apart.
      </Sentence>
      {read !== null && (
        <ul className="m-0 mt-1 list-none p-0 text-[13px]" aria-label="Flanges that look alike">
          {nearestPatterns(read, false)
            .slice(0, 3)
            .map(({ pattern, offMm }, i) => (
              <li key={pattern.name} className={i === 0 ? 'font-[650]' : 'text-second'}>
                {pattern.name}: {say(pattern.squareMm)} apart, pilot {say(pattern.pilotMm)}, {pattern.screw};{' '}
                {say(Math.abs(offMm))} {offMm < 0 ? 'less' : 'more'} was read
                {i === 0 && Math.abs(offMm) > 0.4 ? ', which is none of them: read again' : ''}.
              </li>
            ))}
        </ul>
      )}
    </Panel>
  )
}

/** Screws along an edge of wood or thin sheet. */
export function Boards() {
  return (
    <Panel title="Given, screws along a board">
      <Sentence>
        Along an edge of <FactField path="plan.boards.edge" /> stand <FactField path="plan.boards.screws" /> screws of{' '}
        <FactField path="plan.boards.screw" />, the outer ones <FactField path="plan.boards.fromEnd" /> from the ends, driven into{' '}
        <ChoiceField path="plan.boards.into" />.
      </Sentence>
    </Panel>
  )
}

/** Mounts to bring into line, and blocks that look alike. */
export function Mounts() {
  const bench = useBenchStore((it) => it.bench)
  const [thread, setThread] = useState<ThreadName>('M5')
  const gap = useFigure(mountGap)
  if (bench === null) return null
  const mm = gap === null ? null : shownNumber(gap.result)
  const { across, along } = bench.plan.mounts
  return (
    <Panel title="Given, mounts and blocks">
      <Sentence>
        Over one flat base, the lower of two mounts stands <FactField path="plan.mounts.low" /> high and the higher one{' '}
        <FactField path="plan.mounts.high" />. The holes of a carriage block stand <FactField path="plan.mounts.across" /> across
        its rail and <FactField path="plan.mounts.along" /> along it.
      </Sentence>
      {mm !== null && (
        <p className="mt-1 flex flex-wrap items-center gap-2 text-[13px]" role="status">
          Under the lower mount, on
          <SelectOf label="Thread of the mount" of={THREADS_OF} value={thread} choose={setThread} />: {sayStack(mm, thread)}
        </p>
      )}
      {across.value !== null && along.value !== null && (
        <ul className="m-0 mt-1 list-none p-0 text-[13px]" aria-label="Blocks that look alike">
          {nearestBlocks(across.value, along.value)
            .slice(0, 3)
            .map(({ block, offMm }, i) => (
              <li key={block.name} className={i === 0 ? 'font-[650]' : 'text-second'}>
                {block.name}: {block.acrossMm} × {block.alongMm} mm, {block.screw}; off by up to {offMm.toFixed(1)} mm
                {i === 0 && offMm > 0.5 ? ', which is none of them: read again' : ''}.
              </li>
            ))}
        </ul>
      )}
    </Panel>
  )
}

const THREADS_OF = Object.fromEntries(THREAD_NAMES.map((it) => [it, it])) as Record<ThreadName, string>

function sayStack(gapMm: number, thread: ThreadName): string {
  if (gapMm < 0) return 'the lower one reads higher: read both again, or swap them.'
  const stack = spacerFor(gapMm, thread)
  if (stack === null) return `${gapMm.toFixed(2)} mm is more than a stack of washers: turn, print or cut a spacer.`
  const { washers, shims, leftMm } = stack
  const parts = [
    washers > 0 ? `${washers} ${washers === 1 ? 'washer' : 'washers'}` : '',
    ...shims.map((it) => `a shim of ${it} mm`),
  ]
  const said = parts.filter(Boolean).join(', ')
  return `${said === '' ? 'nothing' : said}${Math.abs(leftMm) < 0.005 ? '' : `; ${leftMm.toFixed(2)} mm stays`}.`
}
