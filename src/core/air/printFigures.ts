import { figureOf, NotYet, subjectOf, type Plain, type View } from '../bench'
import { adapterDrop, adapterOf, type Adapter } from './adapter'
import { flowOfWay, smokeWay, type AirView } from './flowFigures'
import { ductPlate, screwLength, type DuctPlate } from './plates'
import type { AirBench, PrintFacts } from './slice'
import type { Outcome } from '../units'

const figure = figureOf<AirView>()

/** Every part to be printed. */
export const aPrint = subjectOf<AirBench>()('printed part', ({ air }) =>
  Object.keys(air.prints).map((id): [partId: string] => [id]),
)

/** Every adapter among them. */
export const anAdapter = subjectOf<AirBench>()('adapter', ({ air }) =>
  Object.entries(air.prints)
    .filter(([, it]) => it.kind === 'adapter')
    .map(([id]): [partId: string] => [id]),
)

/** Every plate among them. */
export const aPlate = subjectOf<AirBench>()('plate of a duct', ({ air }) =>
  Object.entries(air.prints)
    .filter(([, it]) => it.kind !== 'adapter')
    .map(([id]): [partId: string] => [id]),
)

/** How parts are printed, mm. */
export interface PrintedBy {
  readonly nozzle: number
  readonly lines: number
  readonly play: number
}

/** An adapter by its numbers. @returns It, or what contradicts. Valid: numbers that are all known. Source: `adapterOf`. @throws never. */
export function adapterFor(part: Plain<PrintFacts>, by: PrintedBy): Outcome<Adapter> {
  const low = { goes: part.lowGoes, diameter: part.low, length: part.lowLength }
  const high = { goes: part.highGoes, diameter: part.high, length: part.highLength }
  return adapterOf(low, high, by)
}

/** A plate by its numbers. @returns It, or what contradicts. Valid: numbers that are all known. Source: `ductPlate`. @throws never. */
export function plateFor(part: Plain<PrintFacts>, { play }: Pick<PrintedBy, 'play'>): Outcome<DuctPlate> {
  const { kind, width, height, hole, bars, between, screws, pitch, screwHole, notch } = part
  if (kind === 'adapter') throw new RangeError('an adapter is no plate')
  const isPlain = kind === 'insert'
  return ductPlate({
    kind,
    width,
    height,
    hole,
    play,
    bars,
    between: kind === 'flange' ? between : 0,
    screws: isPlain ? 0 : screws,
    pitch: isPlain ? 0 : pitch,
    screwHole: isPlain ? 1 : screwHole,
    notch: kind === 'bracket' ? notch : 0,
  })
}

function partOf(view: View<AirBench>, id: string): Plain<PrintFacts> {
  const part = view.bench.air.prints[id]
  if (part === undefined) throw new NotYet('this part is no longer there')
  return part
}

/** What an outcome gives. @throws {NotYet} with its first finding. */
function valueOf<T>(outcome: Outcome<T>): T {
  if (!outcome.ok) throw new NotYet(outcome.findings[0]?.message ?? 'look at its sizes')
  return outcome.value
}

export const printedWall = figure({
  id: 'air.printedWall',
  label: 'Wall of printed parts',
  quantity: 'length',
  formula: 't = \\v{n}\\,\\v{z}',
  symbols: { n: 'air.printing.nozzle', z: 'air.printing.lines' },
  source: 'Whole lines of the nozzle (common practice).',
  doubt: 'nudge',
  work: (view): number => view.bench.air.printing.nozzle * view.bench.air.printing.lines,
})

export const adapterBore = figure({
  id: 'air.adapterBore',
  of: anAdapter,
  label: 'Narrowest inside',
  quantity: 'length',
  formula: 'D',
  symbols: {},
  source: 'By its section: walls and play off what goes into a duct, a ring to stop at where both ends are alike.',
  doubt: 'nudge',
  work(view, id: string): number {
    const part = partOf(view, id)
    if (Number.isNaN(part.low + part.high)) return Number.NaN
    return valueOf(adapterFor(part, view.bench.air.printing)).bore
  },
})

export const adapterTakes = figure({
  id: 'air.adapterTakes',
  of: anAdapter,
  label: 'Pressure that it takes at the present flow',
  quantity: 'pressure',
  formula: '\\Delta p = K\\dfrac{\\rho v^2}{2}',
  symbols: {},
  source: 'As a sudden step between its ends (Borda–Carnot); its cone does a little better.',
  doubt: 'nudge',
  work(view, id: string): number {
    const part = partOf(view, id)
    const [way] = smokeWay.each(view.bench as never)[0] ?? []
    if (way === undefined) throw new NotYet('lay the way that it is for')
    const flow = view.figure(flowOfWay, way)
    return Number.isNaN(flow + part.low + part.high) ? Number.NaN : adapterDrop(part.low, part.high, Math.abs(flow))
  },
})

export const plateFree = figure({
  id: 'air.plateFree',
  of: aPlate,
  label: 'Open share of its hole',
  quantity: 'ratio',
  show: { metric: 'percent', inch: 'percent' },
  formula: '\\sigma = \\dfrac{A_o}{\\pi D^2/4}',
  symbols: {},
  source: 'Areas of the slots between the bars.',
  doubt: 'nudge',
  work(view, id: string): number {
    const part = partOf(view, id)
    if (Number.isNaN(part.width + part.height + part.hole) || (part.kind !== 'insert' && Number.isNaN(part.pitch)))
      return Number.NaN
    return valueOf(plateFor(part, view.bench.air.printing)).free
  },
})

/** Plates that are screwed on. */
export const aScrewed = subjectOf<AirBench>()('plate that is screwed', ({ air }) =>
  Object.entries(air.prints)
    .filter(([, it]) => (it.kind === 'flange' || it.kind === 'bracket') && it.screws.value !== 0)
    .map(([id]): [partId: string] => [id]),
)

export const screwFor = figure({
  id: 'air.screwFor',
  of: aScrewed,
  label: 'Length of its screws',
  quantity: 'length',
  formula: 'l \\ge \\v{t} + \\v{b} + \\v{d}',
  symbols: { t: 'air.prints.{0}.thick', b: 'air.prints.{0}.behind', d: 'air.prints.{0}.screwHole' },
  source: 'What it goes through, a nut and two threads (common practice); the next length of ISO 4762 (from memory).',
  doubt: 'alternatives',
  work(view, id: string): number {
    const { thick, behind, screwHole } = partOf(view, id)
    if (Number.isNaN(thick + behind + screwHole)) return Number.NaN
    const found = screwLength(thick + behind, screwHole)
    if (found === null) throw new NotYet('no machine screw is so long: screw into a block instead')
    return found
  },
})
