import { FactField, Panel, Sentence } from '../../ui'
import { GlassesGiven } from './GlassesGiven'

/** What the eyewear is held against, and labels to choose from. */
export function EyewearGiven() {
  return (
    <div className="grid gap-4">
      <Panel title="Given, beam and eyewear">
        <Sentence>
          The diode gives <FactField path="optics.power" /> of optical power at <FactField path="optics.wavelength" />. The
          certificate of your eyewear gives an optical density of <FactField path="safety.eyewearDensity" /> at that wavelength;
          its label names the scale number LB <FactField path="safety.eyewearScale" /> there. Where it may meet them the beam is
          at least <FactField path="safety.beamAtEyewear" /> across.
        </Sentence>
        <p className="mt-1 max-w-[46rem] text-[13px] text-second">
          Density counts only where a certificate names the wavelength; a coloured plastic is none. Eyewear is for what comes back
          by chance, never for looking into a beam. Everybody in the room wears it. Local rules, certified eyewear and licensed
          practice come first.
        </p>
      </Panel>
      <GlassesGiven />
    </div>
  )
}
