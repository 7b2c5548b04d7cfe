import { nearestPatterns } from '../../core/fasteners'
import { sayQuantity } from '../../core/units'
import { useBenchStore } from '../../state'
import { ChoiceField, FactField, Panel, Sentence, useUnits } from '../../ui'

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
