import { figureOf, NotYet, subjectOf, type FigureDef, type Plain, type View } from '../bench'
import { linesOut, type HousingView } from '../housing'
import { travelOf } from '../motion'
import { exposureLimit, limitGlance, limitWatching, pointedAt, skinLimit, densityWatching, type SafetyView } from '../safety'
import { reachBeyondFocus, reachOfBeam, reachOfGlow, widthAsCounted } from './distance'
import type { ReachBench } from './slice'

export type ReachView = SafetyView & HousingView & ReachBench
const figure = figureOf<ReachView>()

const MM = 1e-3
/** Distances in a room are told in these. */
const IN_ROOM = { metric: 'm', inch: 'ft' } as const
/** What lights wood while a flame stands by, W/m². (from memory: handbooks of fire engineering) */
const LIGHTS_WOOD = 12_500

/** Exposures that are looked at: a glance, ten seconds, watching a burn. */
export const LOOKS = ['glance', 'ten', 'watching'] as const
export type Look = (typeof LOOKS)[number]

/** Each of them, for a beam that leaves the head focused. */
export const aLook = subjectOf<ReachBench>()('look', (): [look: string][] => LOOKS.map((it) => [it]))

/** Each of them, where a beam can leave the head without its focus. */
export const aFreeLook = subjectOf<ReachBench>()('look at a free beam', ({ reach }): [look: string][] =>
  reach.beam.free.chosen === 'yes' ? LOOKS.map((it) => [it]) : [],
)

/** Every place in the room where eyes can be. */
export const aPlace = subjectOf<ReachBench>()('place', ({ reach }): [placeId: string][] =>
  Object.keys(reach.places).map((id) => [id]),
)

function limitOf(view: View<ReachView>, look: string): number {
  if (look === 'glance') return view.figure(limitGlance)
  if (look === 'ten') return exposureLimit(view.bench.optics.wavelength, 10)
  return view.figure(limitWatching)
}

const across = ({ bench: { reach } }: View<ReachView>): number => widthAsCounted(reach.beam.across, reach.beam.widths) * MM
const BEYOND = 'IEC 60825-1:2014, annex B, point source (from memory); widths at 1/e, where 1/e² is √2 wider.'
const INVISIBLE = 'From 700 nm on nothing warns: a glance counts 10 s.'

export const beyondFocus = figure({
  id: 'reach.beyondFocus',
  of: aLook,
  label: 'Reach beyond the focus, and of what throws it back like a mirror',
  quantity: 'length',
  show: IN_ROOM,
  formula: 'r = \\dfrac{\\v{f}}{b}\\sqrt{\\dfrac{4\\,\\v{P}}{\\pi\\,E}}',
  symbols: { f: 'reach.beam.focal', P: 'optics.power' },
  source: `${BEYOND} ${INVISIBLE}`,
  doubt: 'nudge',
  work: (view, look: string): number =>
    reachBeyondFocus(view.bench.optics.power, limitOf(view, look), view.bench.reach.beam.focal * MM, across(view)) / MM,
})

export const glow = figure({
  id: 'reach.glow',
  of: aLook,
  label: 'Reach of the glow of a dull surface',
  quantity: 'length',
  show: IN_ROOM,
  formula: 'r = \\sqrt{\\dfrac{\\v{\\rho}\\,\\v{P}}{\\pi\\,E}}',
  symbols: { '\\rho': 'reach.beam.back', P: 'optics.power' },
  source: 'Lambert’s law, straight above it (IEC/TR 60825-14, from memory). To the side it is less.',
  doubt: 'nudge',
  work: (view, look: string): number =>
    reachOfGlow(view.bench.optics.power, limitOf(view, look), view.bench.reach.beam.back, 0) / MM,
})

export const freeBeam = figure({
  id: 'reach.freeBeam',
  of: aFreeLook,
  label: 'Reach of a beam that is not focused',
  quantity: 'length',
  show: IN_ROOM,
  formula: 'r = \\Bigl(\\sqrt{\\dfrac{4\\,\\v{P}}{\\pi\\,E}} - a\\Bigr) / \\varphi',
  symbols: { P: 'optics.power' },
  source: BEYOND,
  doubt: 'nudge',
  work: (view, look: string): number => freeReach(view, view.bench.optics.power, limitOf(view, look)),
})

function freeReach({ bench: { reach } }: View<ReachView>, power: number, limit: number): number {
  const { widths, freeAcross, freeAngle } = reach.beam
  return reachOfBeam(power, limit, widthAsCounted(freeAcross, widths) * MM, widthAsCounted(freeAngle, widths)) / MM
}

export const skinReach = figure({
  id: 'reach.skin',
  label: 'Reach beyond the focus for the skin, from 10 s',
  quantity: 'length',
  show: IN_ROOM,
  formula: 'r = \\dfrac{\\v{f}}{b}\\sqrt{\\dfrac{4\\,\\v{P}}{\\pi\\cdot 2000\\,C_4}}',
  symbols: { f: 'reach.beam.focal', P: 'optics.power' },
  source: 'IEC 60825-1:2014, table A.5 (from memory): 2000·C₄ W/m² from 10 s.',
  doubt: 'nudge',
  work: (view): number => {
    const limit = skinLimit(view.bench.optics.wavelength, 10)
    return reachBeyondFocus(view.bench.optics.power, limit, view.bench.reach.beam.focal * MM, across(view)) / MM
  },
})

export const lightsWood = figure({
  id: 'reach.lightsWood',
  label: 'Reach beyond the focus to light wood',
  quantity: 'length',
  show: IN_ROOM,
  formula: 'r = \\dfrac{\\v{f}}{b}\\sqrt{\\dfrac{4\\,\\v{P}}{\\pi\\cdot 12\\,500\\,\\mathrm{W/m^2}}}',
  symbols: { f: 'reach.beam.focal', P: 'optics.power' },
  source: 'Wood lights near 12.5 kW/m² while a flame stands by (from memory). Without one it takes more.',
  doubt: 'nudge',
  work: (view): number =>
    reachBeyondFocus(view.bench.optics.power, LIGHTS_WOOD, view.bench.reach.beam.focal * MM, across(view)) / MM,
})

/** The share of the light that can get to somebody past box and window, as far as it is proved. */
export const leaves = figure({
  id: 'reach.leaves',
  label: 'Share of the light that is not held back',
  quantity: 'ratio',
  formula: 'q = 1\\ \\text{open, or with a line out};\\quad q = 10^{-D_w}\\ \\text{by a window};\\quad q = 0\\ \\text{shut}',
  symbols: {},
  source: 'What no certificate and no drawing proves holds nothing back.',
  doubt: 'alternatives',
  work(view): number {
    if (view.bench.reach.kept === 'open' || view.figure(linesOut) > 0) return 1
    const { window, ports } = view.bench.housing
    if (window.kept !== 'yes' && !Object.values(ports).some((it) => it.kind === 'window')) return 0
    return 10 ** -(pointedAt(view, view.bench.safety.window)?.density ?? 0)
  },
})

function placeOf(view: View<ReachView>, id: string): Plain<ReachBench['reach']['places'][string]> {
  const place = view.bench.reach.places[id]
  if (place === undefined) throw new NotYet('this place is no longer there')
  return place
}

export const away = figure({
  id: 'reach.away',
  of: aPlace,
  label: 'From the nearest spot of the work to the eyes',
  quantity: 'length',
  show: IN_ROOM,
  formula: 'r = \\sqrt{x^2 + y^2 + z^2} - \\tfrac12\\sqrt{T_X^2 + T_Y^2}',
  symbols: {},
  source: 'By definition; the head may stand at the nearest corner of its travel.',
  doubt: 'nudge',
  work(view, id: string): number {
    const { x, y, eyes } = placeOf(view, id)
    const { machineX, machineY, bed } = view.bench.reach.room
    const corner = Math.hypot(view.figure(travelOf, 'X'), view.figure(travelOf, 'Y')) / 2
    return Math.max(0, Math.hypot(x - machineX, y - machineY, eyes - bed) - corner)
  },
})

export const reachThere = figure({
  id: 'reach.there',
  of: aPlace,
  label: 'Reach of what may come there, watched for 100 s',
  quantity: 'length',
  show: IN_ROOM,
  formula: 'r = r(P\\,q\\,10^{-D_e})',
  symbols: {},
  source: 'As above, of the light that box, window and eyewear leave. They do not add up: the better of them counts.',
  doubt: 'nudge',
  work(view, id: string): number {
    const place = placeOf(view, id)
    const { power } = view.bench.optics
    const density = place.wears === 'yes' ? (pointedAt(view, view.bench.safety.worn)?.density ?? 0) : 0
    const worn = density >= view.figure(densityWatching) ? 10 ** -density : 1
    // Two layers are one of them until a certificate says what they are together.
    const left = power * Math.min(view.figure(leaves), worn)
    const limit = limitOf(view, 'watching')
    const { surface, free, back, focal } = view.bench.reach.beam
    const thrown =
      surface === 'bright' ? reachBeyondFocus(left, limit, focal * MM, across(view)) / MM : reachOfGlow(left, limit, back, 0) / MM
    return free === 'yes' ? Math.max(thrown, freeReach(view, left, limit)) : thrown
  },
})

export const placeRoom = figure({
  id: 'reach.placeRoom',
  of: aPlace,
  label: 'Eyes beyond the reach',
  quantity: 'length',
  show: IN_ROOM,
  signs: { above: 'beyond it by', below: 'within it by' },
  formula: 'm = r_{\\text{eyes}} - r_{\\text{reach}}',
  symbols: {},
  source: 'By definition; 0 is the limit.',
  doubt: 'nudge',
  work: (view, id: string): number => view.figure(away, id) - view.figure(reachThere, id),
})

/** Any of the figures that are worked for a look. */
export type LookFigure = FigureDef<ReachView, [look: string]>
