import type { ComponentType } from 'react'
import { Panel, Sentence, Side, StageLink } from '../../ui'

/** Where the light is read, and where the sighting spot is set. */
export function LightGiven() {
  return (
    <Panel title="Given, the light" className="mt-4">
      <Sentence>
        The light at each power is read on Controller:{' '}
        <StageLink stage="controller" part="curve">
          with a power meter
        </StageLink>
        , or without one{' '}
        <StageLink stage="controller" part="wedge">
          by a step wedge
        </StageLink>
        . The powers to command for an even grey follow from either, and so does the sighting spot, which is set there too.
      </Sentence>
      <p className="max-w-[46rem] py-1 text-[13px] text-second">
        A moving head is tuned at sighting power: bounds, places and focus of the pointer are looked for with a spot that leaves
        no mark. It is a beam all the same: eyewear on.
      </p>
    </Panel>
  )
}

/** What is worked of the light, with the verdicts of the beam. */
export function lightSideOf(Worked: ComponentType) {
  return function LightSide() {
    return (
      <Side stage="beam" part="light">
        <Worked />
      </Side>
    )
  }
}
