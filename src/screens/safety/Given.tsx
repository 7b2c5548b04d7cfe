import { FactField, Panel, Sentence } from '../../ui'
import { GlassesGiven } from './GlassesGiven'

/** What the eyewear is held against, and labels to choose from. */
export function EyewearGiven() {
  return (
    <div className="grid gap-4">
      <Panel title="Given, beam and eyewear">
        <Sentence>
          The diode gives <FactField path="optics.power" /> of optical power at <FactField path="optics.wavelength" />. Where it
          may meet eyewear the beam is at least <FactField path="safety.beamAtEyewear" /> across. The window of the box and the
          eyewear that is worn stand below, by their labels.
        </Sentence>
        <p className="mt-1 max-w-[46rem] text-[13px] text-second">
          A density counts only where a mark after EN 207 or ANSI Z136.7, or a certificate that is named, gives it at the
          wavelength; what a seller prints is none, and neither is a coloured plastic. Eyewear is for what comes back by chance,
          never for looking into a beam. Everybody in the room wears it. Local rules, certified eyewear and licensed practice come
          first.
        </p>
      </Panel>
      <GlassesGiven />
    </div>
  )
}
