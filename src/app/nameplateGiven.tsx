import { densityGlance, densityWatching, limitWatching, scaleNeeded } from '../core/safety'
import { setWornLabel, useBenchStore } from '../state'
import { FactField, FigureRow, PlainField, Verdicts } from '../ui'

/** What the cell of the spot opens. */
export function SpotGiven() {
  return (
    <>
      <p className="text-[15px] leading-[1.85]">
        At focus the spot is <FactField path="optics.spotX" place="nameplate" /> across X and{' '}
        <FactField path="optics.spotY" place="nameplate" /> across Y.
      </p>
      <p className="text-[13px] text-second">
        The thinnest line burnt along Y gives the first, along X the second. The smaller one decides how fine the steps must be.
      </p>
    </>
  )
}

/** What the cell of the beam opens. */
export function BeamGiven() {
  return (
    <>
      <p className="text-[15px] leading-[1.85]">
        The diode gives <FactField path="optics.power" place="nameplate" /> of optical power at{' '}
        <FactField path="optics.wavelength" place="nameplate" />.
      </p>
      <p className="text-[13px] text-second">
        Above 0.5 W it is a class 4 beam: it burns skin and eyes, directly and thrown back, and sets things alight. From 700 nm on
        it cannot be seen.
      </p>
    </>
  )
}

/** What the cell of the eyewear opens. */
export function EyewearGiven() {
  const safety = useBenchStore((it) => it.bench?.safety)
  return (
    <>
      <div className="text-[15px] leading-[1.85]">
        <PlainField
          label="Label of the eyewear that is worn, letter by letter"
          placeholder="as D 315–534 LB6"
          value={safety?.glasses[safety.worn]?.label ?? ''}
          className="w-full"
          keep={setWornLabel}
        />
        <p>
          The beam may meet it <FactField path="safety.beamAtEyewear" place="nameplate" /> across.
        </p>
      </div>
      <Verdicts stage="safety" />
      <FigureRow def={densityWatching} args={[]} />
      <FigureRow def={densityGlance} args={[]} />
      <FigureRow def={limitWatching} args={[]} />
      <FigureRow def={scaleNeeded} args={[]} />
      <p className="mt-2 text-[13px] text-second">
        A coloured plastic is no laser window until a certificate gives its optical density at the wavelength. Local rules,
        certified eyewear and licensed practice come first.
      </p>
    </>
  )
}
