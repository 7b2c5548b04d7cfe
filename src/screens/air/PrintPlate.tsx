import { adapterFor, inOrder, plateFor, type Adapter, type DuctPlate, type PrintFacts } from '../../core/air'
import { drawingToDxf, drawingToSvg, outlinePath, type Layer } from '../../core/artwork'
import { plainly } from '../../core/bench'
import type { Bench } from '../../core/document'
import { printFixed, type Finding } from '../../core/units'
import { shownBench, solidOfPlate, solidOfProfile, useBenchStore } from '../../state'
import { CENTRE_LINE, download, Findings, Hatching } from '../../ui'

/** Parts for the duct: adapters in section, plates from above, to scale, and out as files. */
export function PrintPlate() {
  const bench = useBenchStore(shownBench)
  if (bench === null) return null
  const prints = inOrder(bench.air.prints)
  return (
    <div className="mt-2 shrink-0" data-plate="Parts for the duct">
      {prints.length === 0 && (
        <p className="my-6 max-w-[40rem] text-second">
          Adapters, flanges, fan plates and window inserts stand here, worked from what you measured: choose a kind below.
        </p>
      )}
      <div className="flex flex-wrap gap-x-8 gap-y-4">
        {prints.map(([id, part]) => (
          <Part key={id} bench={bench} part={part} />
        ))}
      </div>
    </div>
  )
}

function Part({ bench, part }: { readonly bench: Bench; readonly part: PrintFacts }) {
  const facts = plainly(part)
  const by = plainly(bench.air.printing)
  const isKnown =
    part.kind === 'adapter'
      ? isNumber(facts.low, facts.high)
      : isNumber(facts.width, facts.height, facts.hole, part.kind === 'insert' ? 1 : facts.pitch)
  if (!isKnown || !isNumber(by.nozzle, by.lines, by.play))
    return (
      <Frame part={part}>
        <p className="max-w-[20rem] py-6 text-[13.5px] text-second">Drawn once what it goes on is measured.</p>
      </Frame>
    )
  if (part.kind === 'adapter') {
    const made = adapterFor(facts, by)
    return (
      <Frame part={part} findings={made.findings}>
        {made.ok && <AdapterSection adapter={made.value} name={part.name} />}
      </Frame>
    )
  }
  const made = plateFor(facts, by)
  return (
    <Frame part={part} findings={made.findings}>
      {made.ok && <PlateFromAbove plate={made.value} name={part.name} thick={part.thick.value ?? 4} />}
    </Frame>
  )
}

const isNumber = (...all: readonly (number | undefined | null)[]): boolean =>
  all.every((it) => typeof it === 'number' && Number.isFinite(it))

function Frame(props: { readonly part: PrintFacts; readonly findings?: readonly Finding[]; readonly children: React.ReactNode }) {
  return (
    <figure className="keep-together m-0" data-print={props.part.kind}>
      <figcaption className="text-[13px] font-[650]">{props.part.name}</figcaption>
      {props.children}
      <Findings findings={props.findings ?? []} />
    </figure>
  )
}

const ROOM = 250

/** An adapter in section, its lower end on the bed. */
function AdapterSection({ adapter, name }: { readonly adapter: Adapter; readonly name: string }) {
  const wide = 2 * Math.max(...adapter.profile.map((it) => it.r))
  const scale = ROOM / Math.max(wide, adapter.height)
  const middle = (wide * scale) / 2 + 30
  const half = (way: 1 | -1): string =>
    `M${adapter.profile.map((it) => `${(middle + way * it.r * scale).toFixed(1)} ${((adapter.height - it.z) * scale + 14).toFixed(1)}`).join('L')}Z`
  const bottom = adapter.height * scale + 14
  const save = async (): Promise<void> => {
    download(`${fileName(name)}.stl`, await solidOfProfile(adapter.profile), 'model/stl')
  }
  return (
    <>
      <svg width={2 * middle} height={bottom + 40} className="plate" role="img" aria-label={`${name}, in section`}>
        <Hatching id={`cut-${fileName(name)}`} />
        <path d={half(1) + half(-1)} fill={`url(#cut-${fileName(name)})`} stroke="var(--ink)" strokeWidth="1.3" />
        <path d={`M${middle} 2V${bottom + 10}`} stroke="var(--second)" strokeWidth="0.8" strokeDasharray={CENTRE_LINE} />
        <path d={`M6 ${bottom}H${2 * middle - 6}`} stroke="var(--ink)" strokeWidth="1" />
        <text x={middle} y={bottom + 26} textAnchor="middle" fontSize="12" fill="var(--ink)" className="num">
          Ø{printFixed(adapter.bore, 1)} inside, {printFixed(adapter.height, 1)} mm high, wall {printFixed(adapter.wall, 2)} mm
        </text>
      </svg>
      <button type="button" className="button no-print" onClick={() => void save()}>
        Save as STL
      </button>
    </>
  )
}

function PlateFromAbove({ plate, name, thick }: { readonly plate: DuctPlate; readonly name: string; readonly thick: number }) {
  const saveSolid = async (): Promise<void> => {
    download(`${fileName(name)}.stl`, await solidOfPlate(plate.cut, thick), 'model/stl')
  }
  const scale = ROOM / Math.max(plate.width, plate.height)
  const layers: readonly Layer[] = [{ name: 'cut', colour: '#111111', outlines: plate.cut }]
  const text = (made: string): Uint8Array => new TextEncoder().encode(made)
  return (
    <>
      <svg
        width={plate.width * scale + 24}
        height={plate.height * scale + 46}
        viewBox={`${-12 / scale} ${-8 / scale} ${plate.width + 24 / scale} ${plate.height + 46 / scale}`}
        className="plate"
        role="img"
        aria-label={`${name}, from above`}
      >
        {plate.cut.map((it, k) => (
          <path key={k} d={outlinePath(it, plate.height)} fill="none" stroke="var(--ink)" strokeWidth={1.3 / scale} />
        ))}
        <text
          x={plate.width / 2}
          y={plate.height + 24 / scale}
          textAnchor="middle"
          fontSize={12 / scale}
          fill="var(--ink)"
          className="num"
        >
          {printFixed(plate.width, 1)} × {printFixed(plate.height, 1)} mm, hole Ø{printFixed(plate.bore, 1)}
        </text>
      </svg>
      <div className="no-print flex gap-2">
        <button type="button" className="button" onClick={() => void saveSolid()}>
          Save as STL
        </button>
        <button
          type="button"
          className="button"
          onClick={() =>
            download(`${fileName(name)}.svg`, text(drawingToSvg(plate.width, plate.height, layers)), 'image/svg+xml')
          }
        >
          Save as SVG
        </button>
        <button
          type="button"
          className="button"
          onClick={() => download(`${fileName(name)}.dxf`, text(drawingToDxf(layers)), 'image/vnd.dxf')}
        >
          Save as DXF
        </button>
      </div>
    </>
  )
}

const fileName = (name: string): string =>
  name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '') || 'part'
