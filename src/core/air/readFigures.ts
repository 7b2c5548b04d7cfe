import { figureOf, NotYet, subjectOf, type OwnDoubt, type View } from '../bench'
import { fanCurveOf, inOrder } from './laid'
import { fanPressure } from './fan'
import { fanFromReadings, flowFromReadings, leakFromReadings, type AirMeters, type AirReading } from './measured'
import type { AirBench } from './slice'

const figure = figureOf<AirBench>()

/** Readings were begun. */
export const someReadings = subjectOf<AirBench>()('air that was read', ({ air }): readonly [][] =>
  Object.keys(air.readings).length === 0 ? [] : [[]],
)

/** Readings as they were taken, without those that are not whole. @throws {NotYet} for fewer than `least`. */
function readingsOf(view: View<AirBench>, least: number, words: string): readonly AirReading[] {
  const whole = inOrder(view.asEntered.air.readings)
    .map(([id, { out, inlet, below, suction }]) => ({ id, out, inlet, below, suction }))
    .filter((it) => !Number.isNaN(it.out + it.inlet + it.below + it.suction))
  if (whole.length < least) throw new NotYet(words)
  return whole.map(({ id }) => {
    const { out, inlet, below, suction } = view.bench.air.readings[id] ?? { out: 0, inlet: 0, below: 0, suction: 0 }
    return { out: out / 1000, inlet: inlet / 1000, below, suction }
  })
}

function metersOf(view: View<AirBench>): AirMeters {
  const { outDiameter, inletArea, off } = view.bench.air.meter
  return { outArea: Math.PI * (outDiameter / 20) ** 2, inletArea, scale: off / Math.sqrt(3) }
}

/** A number of the meters that nobody has entered makes it unknown; the engine names it. */
const NOT_KNOWN: OwnDoubt = { value: Number.NaN, u: Number.NaN }

const isKnown = ({ outArea, inletArea }: AirMeters): boolean => !Number.isNaN(outArea + inletArea)

export const leakRead = figure({
  id: 'air.leakRead',
  of: someReadings,
  label: 'Gaps, as they follow from the readings',
  quantity: 'area',
  formula: 'A = \\dfrac{\\sum x_i\\,y_i}{\\sum x_i^2},\\quad x = C\\sqrt{2\\Delta p/\\rho},\\ y = v_o A_o - v_i A_i',
  symbols: {},
  source: 'Least squares through the origin; its scatter and the anemometer’s scale in quadrature (JCGM 100:2008, 5.1.2, G.4.1).',
  doubt: { own: 'What the readings scatter by, and what they share.' },
  work(view): OwnDoubt {
    const readings = readingsOf(view, 3, 'read with the inlet shut, half open and open: three readings or more')
    const meters = metersOf(view)
    if (!isKnown(meters)) return NOT_KNOWN
    if (!readings.some((it) => it.below > 0)) throw new NotYet('the box was never below the room: read with the fan running')
    const found = leakFromReadings(readings, meters)
    if (found.value <= 0)
      throw new NotYet('more comes in by the inlet than leaves: look at both areas, and at which reading is which')
    return found
  },
})

export const flowRead = figure({
  id: 'air.flowRead',
  of: someReadings,
  label: 'Flow, as it was read last',
  quantity: 'flow',
  formula: 'Q = v_o A_o',
  symbols: {},
  source: 'Mean of all readings with the setting of the last one; scatter and scale in quadrature (JCGM 100:2008, 4.2, 5.1.2).',
  doubt: { own: 'What the readings scatter by, and what they share.' },
  work(view): OwnDoubt {
    const rows = inOrder(view.asEntered.air.readings)
    const last = rows[rows.length - 1]?.[1].setting
    const alike = rows.filter(([, it]) => it.setting === last).map(([id]) => view.bench.air.readings[id]?.out ?? Number.NaN)
    const whole = alike.filter((it) => !Number.isNaN(it))
    if (whole.length < 2) throw new NotYet('read twice or more with nothing changed, under the same words')
    const meters = metersOf(view)
    if (Number.isNaN(meters.outArea)) return NOT_KNOWN
    return flowFromReadings(
      whole.map((it) => ({ out: it / 1000, inlet: 0, below: 0, suction: 0 })),
      meters,
    )
  },
})

export const fanRead = figure({
  id: 'air.fanRead',
  of: someReadings,
  label: 'Pressure that the fan really gives at that flow',
  quantity: 'pressure',
  formula: 'p = a + b\\,Q',
  symbols: {},
  source: 'Least squares over the readings, ± of the line at that place (JCGM 100:2008, H.3.4).',
  doubt: { own: 'What the readings scatter by, and what they share.' },
  work(view): OwnDoubt {
    const readings = readingsOf(view, 3, 'read at three settings or more, so that a line goes through them')
    const meters = metersOf(view)
    if (!isKnown(meters)) return NOT_KNOWN
    const flows = readings.map((it) => it.out)
    if (Math.max(...flows) - Math.min(...flows) < 0.01 * Math.max(...flows))
      throw new NotYet('all readings were taken at one flow: shut the inlet half, and read again')
    return fanFromReadings(readings, meters, view.figure(flowRead).value)
  },
})

export const fanAgrees = figure({
  id: 'air.fanAgrees',
  of: someReadings,
  label: 'The fan, against its label there',
  quantity: 'ratio',
  show: { metric: 'percent', inch: 'percent' },
  formula: 'm = \\dfrac{p_\\mathrm{read}}{p_\\mathrm{label}} - 1',
  symbols: {},
  source: 'By definition.',
  doubt: 'nudge',
  work(view): number {
    const fan = Object.values(view.bench.air.ways)
      .flatMap((it) => Object.values(it.parts))
      .find((it) => it.kind === 'fan')
    if (fan === undefined) throw new NotYet('put the fan into its way, with what its label says')
    const label = fanPressure(fanCurveOf(fan), view.figure(flowRead).value)
    if (label <= 0) throw new NotYet('more flows than its label says at all: look at the diameter where it was read')
    return view.figure(fanRead).value / label - 1
  },
})
