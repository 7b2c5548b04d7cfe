import { shownNumber } from '../../core/bench'
import { boardNeeds, exposureDose, exposureRatio, exposureSpeed } from '../../core/burn'
import { whyNotBurnt } from '../../core/safety'
import { useBenchStore, useFigure, useShownFact } from '../../state'
import { FactField, FigureRow, Panel, Sentence, Side } from '../../ui'
import { About, Book } from './Book'
import { useMaterial } from './chosen'
import { Kept } from './Kept'

/** Steps of a wedge that are drawn. */
const STEPS = 14

/** The step wedge on the board: what each of its steps lets through, and which of them held. */
export function ExposePlate() {
  const step = useShownFact('burns.exposure.wedgeStep')?.value ?? null
  const held = useShownFact('burns.exposure.held')?.value ?? null
  const wanted = useShownFact('burns.exposure.heldWanted')?.value ?? null
  const figure = useFigure(exposureDose)
  const dose = figure === null ? null : shownNumber(figure.result)
  if (step === null || dose === null) {
    return (
      <p className="my-8 max-w-[40rem] text-second" data-plate="The step wedge">
        The wedge is drawn as soon as the dose is known: enter power, speed and pitch below, and the optical power on the
        nameplate.
      </p>
    )
  }
  const say = (mJ: number): string => (mJ >= 100 ? mJ.toFixed(0) : mJ.toPrecision(2))
  const wide = 100 / STEPS
  return (
    <figure className="m-0 mt-3" data-plate="The step wedge">
      <svg viewBox="0 0 100 27" className="keep-together w-full" role="img" aria-label={wedgeSays(held, wanted)}>
        {Array.from({ length: STEPS }, (_, k) => k).map((k) => {
          const isHeld = held !== null && k <= held
          return (
            <g key={k}>
              <rect
                x={k * wide}
                y={4}
                width={wide}
                height={10}
                fill={`lab(${Math.max(12, 94 - k * 6)}% 2 6)`}
                stroke="var(--rule)"
                strokeWidth={0.1}
              />
              <text x={(k + 0.5) * wide} y={3} textAnchor="middle" fontSize={2} className="num" fill="var(--ink)">
                {k}
              </text>
              <rect
                x={k * wide}
                y={16}
                width={wide}
                height={6}
                fill={isHeld ? 'var(--second)' : 'none'}
                stroke="var(--second)"
                strokeWidth={0.15}
                strokeDasharray={isHeld || held !== null ? undefined : '0.6 0.6'}
              />
              <text x={(k + 0.5) * wide} y={25.5} textAnchor="middle" fontSize={1.9} className="num" fill="var(--ink)">
                {say(dose * 1e5 * 10 ** (-k * step))}
              </text>
            </g>
          )
        })}
        {wanted !== null && (
          <g>
            <path d={`M${(wanted + 1) * wide} 2.4V23.4`} stroke="var(--ink)" strokeWidth={0.2} strokeDasharray="0.8 0.5" />
          </g>
        )}
      </svg>
      <figcaption className="text-[12.5px] text-second">
        {held === null
          ? 'Upper row: the wedge. Lower row: the board, not developed yet. Below: mJ/cm² behind each step.'
          : 'Upper row: the wedge. Lower row, filled: what held on the board. Dashed: the step that shall hold last. Below: mJ/cm² behind each step.'}
      </figcaption>
    </figure>
  )
}

function wedgeSays(held: number | null, wanted: number | null): string {
  const first = held === null ? 'The board is not developed yet.' : `It held up to step ${held}.`
  return `Step wedge. ${first}${wanted === null ? '' : ` Step ${wanted} shall be the last that holds.`}`
}

/** What an exposure is done with, what the wedge showed, what is kept. */
export function ExposeGiven() {
  const bench = useBenchStore((it) => it.bench)
  const id = useMaterial()
  if (bench === null) return null
  const material = id === null ? undefined : bench.burns.materials[id]
  const isBurnt = material !== undefined && whyNotBurnt(material.kind) === null
  return (
    <div className="mt-4 grid gap-4">
      <Panel title="Given, the exposure">
        <Sentence>
          The board is scanned with <FactField path="burns.exposure.power" /> at <FactField path="burns.exposure.speed" />, lines{' '}
          <FactField path="burns.exposure.pitch" /> apart. Its coat is said to want <FactField path="burns.exposure.board" />.
        </Sentence>
        <Sentence>
          A step wedge of <FactField path="burns.exposure.wedgeStep" /> from step to step lay on it; after developing, the last
          step that held was <FactField path="burns.exposure.held" />, and <FactField path="burns.exposure.heldWanted" /> shall
          hold.
        </Sentence>
        <p className="max-w-[46rem] py-1 text-[13px] text-second">
          A light-sensitive board wants a dose, not a burn: nothing may warm or smoke. Most coats answer below 420 nm only; look
          at the data sheet for your wavelength. Its own cautions (developer, gloves, daylight) come first.
        </p>
      </Panel>
      <Book bench={bench} shown={id} />
      {id !== null && material !== undefined && (
        <>
          <About key={id} id={id} material={material} />
          <Kept id={id} material={material} isBurnt={isBurnt} want="exposure" />
        </>
      )}
    </div>
  )
}

/** What is worked of the exposure. */
export function ExposeSide() {
  return (
    <Side stage="burns" part="expose">
      <Panel title="Worked, the exposure">
        {[exposureDose, exposureRatio, boardNeeds, exposureSpeed].map((def) => (
          <FigureRow key={def.id} def={def} args={[]} />
        ))}
      </Panel>
    </Side>
  )
}
