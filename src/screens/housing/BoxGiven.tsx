import { useState } from 'react'
import { Link } from 'react-router'
import type { Bench } from '../../core/document'
import { addressOf, DONE, fixSizes, useBenchStore, type Told } from '../../state'
import { ChoiceField, FactField, Findings, Panel, Sentence } from '../../ui'

/** What asks for room, the size as it is fixed, and the window that must not be cut. */
export function BoxGiven() {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  const { housing } = bench
  return (
    <div className="mt-2 grid gap-4">
      <Panel title="Given, what must go in">
        <Sentence>
          The machine measures <FactField path="housing.needs.machineX" /> along X and <FactField path="housing.needs.machineY" />{' '}
          along Y with its head at every end, <FactField path="housing.needs.machineZ" /> in height; its bed lies{' '}
          <FactField path="housing.needs.bedOver" /> over what it stands on, its head stands{' '}
          <FactField path="housing.needs.headTall" /> above its lower edge. Feet under it:{' '}
          <FactField path="rotary.stack.feet" place="aside" />.
        </Sentence>
        <Sentence>
          Cables need <FactField path="housing.needs.loopAbove" /> above and <FactField path="housing.needs.loopBehind" /> behind
          it, hands <FactField path="housing.needs.handsSide" /> at each side and <FactField path="housing.needs.handsFront" /> in
          front. Camera in the roof: <ChoiceField path="housing.needs.camera" />
          {housing.needs.camera.chosen === 'yes' && (
            <>
              {' '}
              that must see <FactField path="housing.needs.cameraSees" /> at <FactField path="housing.needs.cameraField" />, with{' '}
              <FactField path="housing.needs.cameraBody" /> behind its lens
            </>
          )}
          .
        </Sentence>
      </Panel>
      <Size bench={bench} />
      <Window bench={bench} />
    </div>
  )
}

function Size({ bench }: { readonly bench: Bench }) {
  const [said, say] = useState<Told>(DONE)
  const { size } = bench.housing
  const isFree = size.x.value === null && size.y.value === null && size.z.value === null
  return (
    <Panel title="Given, the box">
      <Sentence>
        Below it has <ChoiceField path="housing.size.floor" />
        {size.floor.chosen === 'no' && (
          <>
            , lifted by <ChoiceField path="housing.size.lift" />; at its foot <ChoiceField path="housing.size.foot" />
            {size.foot.chosen === 'gap' && (
              <>
                {' '}
                of <FactField path="housing.size.footGap" />
              </>
            )}
          </>
        )}
        . Inside it is <ChoiceField path="housing.size.inside" />. Its sizes inside are <FactField path="housing.size.x" /> along
        X, <FactField path="housing.size.y" /> along Y, <FactField path="housing.size.z" /> in height.
      </Sentence>
      <p className="max-w-[46rem] py-1 text-[13px] text-second">
        A size that is left empty follows from what asks for room. Fix them before you saw: a fixed size is held against what must
        go in.
      </p>
      <button type="button" className="button no-print" onClick={() => say(fixSizes())}>
        {isFree ? 'Fix the sizes as worked' : 'Fix them again as worked'}
      </button>
      <Findings findings={said} />
    </Panel>
  )
}

function Window({ bench }: { readonly bench: Bench }) {
  return (
    <Panel title="Given, the window">
      <Sentence>
        A window sheet <ChoiceField path="housing.window.kept" />
        {bench.housing.window.kept.chosen === 'yes' && (
          <>
            : <FactField path="housing.window.x" /> by <FactField path="housing.window.y" />,{' '}
            <FactField path="housing.window.thick" /> thick, of <ChoiceField path="housing.window.weighs" />. Its frame has bars
            of <FactField path="housing.window.bar" /> with a groove <FactField path="housing.window.groove" /> deep,{' '}
            <FactField path="housing.window.play" /> of play at each side, and tongues of{' '}
            <FactField path="housing.window.tongue" />. The box <ChoiceField path="housing.window.decides" />
          </>
        )}
        .
      </Sentence>
      <p className="max-w-[46rem] py-1 text-[13px] text-second">
        Leave one bar of the frame open until all is painted, and slide the sheet in last. What colour a plastic has proves
        nothing: copy its label under <Link to={addressOf(bench.id, 'safety', 'eyewear')}>Safety, eyewear</Link>; without a
        certificate for this wavelength the window is shut with a panel.
      </p>
    </Panel>
  )
}
