import { useState } from 'react'
import { shownNumber } from '../../core/bench'
import { focusOfRamp } from '../../core/calibrate'
import type { Bench } from '../../core/document'
import { DONE, engineOf, followRamp, useBenchStore, type Told } from '../../state'
import { ChoiceField, FactField, FigureRow, Findings, Panel, Sentence, StageLink } from '../../ui'

/** The head over the material, the beam as far as it is known, and three ways to find focus. */
export function FocusGiven() {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  return (
    <div className="mt-2 grid gap-4">
      <Panel title="Given, head and material">
        <Sentence>
          The head hangs <FactField path="optics.gap" /> above the material, which is <FactField path="optics.sheet" /> thick. One
          turn of its knob or screw moves it by <FactField path="optics.headTurn" />. For focus{' '}
          <FactField path="optics.focusGap" /> is stated.
        </Sentence>
      </Panel>
      <Panel title="Given, the beam">
        <Sentence>
          It gives <FactField path="optics.power" /> at <FactField path="optics.wavelength" />. At focus the spot is{' '}
          <FactField path="optics.spotX" /> across X and <FactField path="optics.spotY" /> across Y; its long, flat side lies{' '}
          <ChoiceField path="optics.flatAlong" />, falling off with an order of <FactField path="optics.flatOrder" />. Its quality
          M² is <FactField path="optics.m2X" /> across X and <FactField path="optics.m2Y" /> across Y. A ramp that is read in two
          sets takes the place of spot and quality.
        </Sentence>
      </Panel>
      <Ramps bench={bench} />
      <Panel title="Pointer and kerf">
        <p className="max-w-[46rem] py-1 text-[14px]">
          Where the pointing aid lies beside the beam, and how much a cut takes, are found by{' '}
          <StageLink stage="controller" part="focus">
            a cross and two combs
          </StageLink>
          .
        </p>
      </Panel>
      <Panel title="By a gauge block">
        <Sentence>
          A block of <FactField path="optics.gauge" /> is slid between head and material: the head is lowered until it just goes.
        </Sentence>
        <p className="max-w-[46rem] py-1 text-[13px] text-second">
          Make one as thick as the gap at focus, measure it at three places, write its size on it. The supply is off while a hand
          is under the head.
        </p>
      </Panel>
      <Panel title="By a touch plate">
        <Sentence>
          The plate is <FactField path="optics.plate" /> thick; when the feeler touches it the head hangs{' '}
          <FactField path="optics.feeler" /> above the plate.
        </Sentence>
        <ol className="max-w-[46rem] list-decimal py-1 pl-5 text-[13px] text-second">
          <li>Supply of the beam off. Lay the plate on the material where the work begins.</li>
          <li>Lower the head slowly until the feeler touches; set the height there as zero.</li>
          <li>Take the plate away, then go down by “from the touch down to focus”, or up where that is below 0.</li>
          <li>Touch three times: it should repeat within 0.1 mm.</li>
        </ol>
      </Panel>
    </div>
  )
}

/** The focus ramps that were burnt, and which one the beam follows. */
function Ramps({ bench }: { readonly bench: Bench }) {
  const [said, say] = useState<Told>(DONE)
  const { focusBy, trials } = bench.calibrate
  const ramps = Object.entries(trials.focus).sort(([, p], [, q]) => p.order - q.order)
  return (
    <Panel title="By a ramp">
      <p className="max-w-[46rem] py-1 text-[14px]">
        Lines on a tilted board are thinnest where it is in focus.{' '}
        <StageLink stage="controller" part="focus">
          {ramps.length === 0 ? 'Burn a focus ramp' : 'Burn or read a focus ramp'}
        </StageLink>
        {ramps.length === 0 && '; it says where focus is to a few tenths, and how the beam runs through it.'}
      </p>
      <ul className="m-0 list-none p-0">
        {ramps.map(([id, ramp]) => (
          <li key={id} className="border-b border-rule py-1.5" data-ramp={id}>
            <div className="flex flex-wrap items-center justify-between gap-x-4 gap-y-1 text-[14px]">
              <span>
                Ramp {ramp.order}, {ramp.at.slice(0, 10)}
              </span>
              {focusBy === id ? (
                <span className="flex items-center gap-3">
                  <span className="text-second">the beam follows it</span>
                  <button type="button" className="link no-print" onClick={() => void followRamp('').then(say)}>
                    Follow none
                  </button>
                </span>
              ) : (
                <button
                  type="button"
                  className="button no-print"
                  disabled={shownNumber(engineOf(bench).value(focusOfRamp, id).result) === null}
                  onClick={() => void followRamp(id).then(say)}
                >
                  Follow this ramp
                </button>
              )}
            </div>
            <FigureRow def={focusOfRamp} args={[id]} />
          </li>
        ))}
      </ul>
      <Findings findings={said} />
    </Panel>
  )
}
