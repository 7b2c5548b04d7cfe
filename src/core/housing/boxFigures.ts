import { figureOf, NotYet, subjectOf, type View } from '../bench'
import type { FocusBench } from '../calibrate'
import { headAt, type RotaryBench } from '../rotary'
import { enclosureOf, insideByFrame, panelMaterial, type Enclosure, type WindowAsked } from './enclosure'
import { cameraHeight, deciding, SHEET_DENSITY, windowFrame, type Need } from './panels'
import type { HousingBench } from './slice'
import type { Outcome } from '../units'

export type HousingView = HousingBench & RotaryBench & FocusBench
const figure = figureOf<HousingView>()

export type Way = 'x' | 'y' | 'z'

/** Along X, along Y, and upwards. */
export const aWayOfBox = subjectOf<HousingBench>()('way of the box', (): [way: string][] => [['x'], ['y'], ['z']])

/** The same once somebody has begun to measure the machine, or has said how large the box is. */
export const aBegunWay = subjectOf<HousingBench>()('way of a box that was begun', ({ housing }): [way: string][] =>
  isBegun(housing) ? [['x'], ['y'], ['z']] : [],
)

/** Once there is a box to speak of. */
export const begunBox = subjectOf<HousingBench>()('box that was begun', ({ housing }): readonly [][] =>
  isBegun(housing) ? [[]] : [],
)

/** Whether somebody has begun to measure the machine, or has said how large the box is. */
export function isBegun({ needs, size }: HousingBench['housing']): boolean {
  return [needs.machineX, needs.machineY, needs.machineZ, size.x, size.y, size.z].some((it) => it.value !== null)
}

/** What asks for room each way. */
function needsOf(view: View<HousingView>, way: Way): readonly Need[] {
  const { needs } = view.bench.housing
  if (way === 'x') return [{ id: 'machine', label: 'machine and hands', size: needs.machineX + 2 * needs.handsSide }]
  if (way === 'y')
    return [{ id: 'machine', label: 'machine, cables and hands', size: needs.machineY + needs.loopBehind + needs.handsFront }]
  const { feet } = view.bench.rotary.stack
  const found: Need[] = [
    { id: 'machine', label: 'machine at its highest, and cables', size: needs.machineZ + feet + needs.loopAbove },
  ]
  const { objects, inHand } = view.bench.rotary
  if (objects[inHand] !== undefined) {
    const size = needs.bedOver + feet + view.figure(headAt, inHand) + needs.headTall + needs.loopAbove
    found.push({ id: 'object', label: 'head over the object, and cables', size })
  }
  if (needs.camera === 'yes') {
    const size = needs.bedOver + feet + cameraHeight(needs.cameraSees, needs.cameraField) + needs.cameraBody
    found.push({ id: 'camera', label: 'camera over what it sees', size })
  }
  return found
}

/** Which ways of the box the frame of a window gives, by how it opens. */
const BY_FRAME: Readonly<Record<string, Readonly<Partial<Record<Way, 'width' | 'height'>>>>> = {
  top: { x: 'width', y: 'height' },
  front: { x: 'width', z: 'height' },
  angled: { x: 'width' },
}

/** Ways in which somebody, or a window, has fixed the size. */
export const aFixedWay = subjectOf<HousingBench>()('way of a box that is fixed', ({ housing }): [way: string][] => {
  const { size, window, lid } = housing
  const byFrame = window.kept.chosen === 'yes' && window.decides.chosen === 'yes' ? BY_FRAME[lid.form.chosen ?? 'top'] : {}
  return (['x', 'y', 'z'] as const).filter((it) => size[it].value !== null || byFrame?.[it] !== undefined).map((it) => [it])
})

export const boxNeeds = figure({
  id: 'housing.needs',
  of: aBegunWay,
  label: 'What asks for room',
  quantity: 'length',
  formula: 's_i',
  symbols: {},
  source: 'Sums of what stands beside and above one another.',
  doubt: { none: 'a list; the largest has its own ±' },
  work: (view, way: string): readonly Need[] => needsOf(view, way as Way),
})

export const needed = figure({
  id: 'housing.needed',
  of: aBegunWay,
  label: 'Needed inside',
  quantity: 'length',
  formula: 's = \\max s_i',
  symbols: {},
  source: 'The largest of what asks for room.',
  doubt: 'nudge',
  work: (view, way: string): number => deciding(needsOf(view, way as Way))?.size ?? Number.NaN,
})

/** The uncut sheet in its frame; null: there is none. */
function frameAsked(view: View<HousingView>): WindowAsked | null {
  const { window } = view.bench.housing
  if (window.kept !== 'yes') return null
  const { bar, groove, play, tongue } = window
  return { sheet: { width: window.x, height: window.y }, bar, groove, play, tongue, isLid: window.decides === 'yes' }
}

export const insideSize = figure({
  id: 'housing.inside',
  of: aBegunWay,
  label: 'Inside',
  quantity: 'length',
  formula: 's',
  symbols: {},
  source: 'As typed; else as the frame of the window gives it; else what is needed.',
  doubt: 'nudge',
  work(view, name: string): number {
    const way = name as Way
    const { size, window, lid } = view.bench.housing
    if (!Number.isNaN(view.asEntered.housing.size[way])) return size[way]
    if (window.kept === 'yes' && window.decides === 'yes') {
      const side = BY_FRAME[lid.form]?.[way]
      const asked = frameAsked(view)
      if (side !== undefined && asked !== null) {
        const frame = valueOf(windowFrame(asked.sheet, asked))
        const t = view.figure(sheetThickness)
        // A front lid lies over the edges of floor and roof, of a hood over that of the roof.
        const shelves = way === 'z' && view.bench.housing.size.floor === 'no' ? 1 : 2
        return way === 'z' ? frame.outside.height - shelves * t : insideByFrame(frame, t)[side]
      }
    }
    return view.figure(needed, way)
  },
})

/** What an outcome gives. @throws {NotYet} with its first finding. */
function valueOf<T>(outcome: Outcome<T>): T {
  if (!outcome.ok) throw new NotYet(outcome.findings[0]?.message ?? 'look at the sizes of the box')
  return outcome.value
}

/** The sheet that is in use. @throws {NotYet} where none is. */
export function sheetInUse(view: View<HousingBench>) {
  const found = view.bench.housing.sheets[view.bench.housing.sheet]
  if (found === undefined) throw new NotYet('say on “Panels and sheets” which sheet the box is made of')
  return found
}

export const sheetThickness = figure({
  id: 'housing.thickness',
  label: 'Sheet of the box',
  quantity: 'length',
  formula: 't',
  symbols: {},
  source: 'Of the sheet that is in use, as measured.',
  doubt: 'nudge',
  work: (view): number => sheetInUse(view).thickness,
})

export const insideRoom = figure({
  id: 'housing.insideRoom',
  of: aFixedWay,
  label: 'Inside, against what is needed',
  quantity: 'length',
  signs: { above: 'to spare', below: 'missing' },
  formula: 'm = \\v{s} - \\v{n}',
  symbols: { s: '=housing.inside|{0}', n: '=housing.needed|{0}' },
  source: 'By definition.',
  doubt: 'nudge',
  work: (view, way: string): number => view.figure(insideSize, way) - view.figure(needed, way),
})

/** A box of a sheet of so much, mm. */
export function enclosureIn(view: View<HousingView>, thickness: number): Outcome<Enclosure> {
  const { size, make, lid } = view.bench.housing
  const isJointed = make.joint !== 'butt'
  const isAngled = lid.form === 'angled'
  return enclosureOf({
    inside: { x: view.figure(insideSize, 'x'), y: view.figure(insideSize, 'y'), z: view.figure(insideSize, 'z') },
    thickness,
    joint: isJointed ? { kind: make.joint, depth: make.depth } : { kind: 'butt' },
    hasFloor: size.floor === 'yes',
    form: lid.form,
    frontHeight: isAngled ? lid.frontHeight : 0,
    roofDepth: isAngled ? lid.roofDepth : 0,
    window: frameAsked(view),
  })
}

export const enclosure = figure({
  id: 'housing.enclosure',
  of: begunBox,
  label: 'Its panels',
  quantity: 'length',
  formula: 'l, b',
  symbols: {},
  source: 'By definition: what stands in a joint is longer by its depth at each end, so that inside and outside stay.',
  doubt: { none: 'a list of panels; sizes of the box have their own ±' },
  work(view): Enclosure | null {
    const asked = enclosureIn(view, view.figure(sheetThickness))
    // A number that is missing makes all of it unknown; the engine names it.
    const sizes = [view.figure(insideSize, 'x'), view.figure(insideSize, 'y'), view.figure(insideSize, 'z')]
    return sizes.some(Number.isNaN) ? null : valueOf(asked)
  },
})

/** The box as it is worked. @throws {NotYet} where something of it is not known. */
export function boxIn(view: View<HousingView>): Enclosure {
  const found = view.figure(enclosure)
  if (found === null) throw new NotYet('measure the machine')
  return found
}

export const outsideSize = figure({
  id: 'housing.outside',
  of: aBegunWay,
  label: 'Outside',
  quantity: 'length',
  formula: 'o = \\v{s} + n\\,\\v{t}',
  symbols: { s: '=housing.inside|{0}', t: '=housing.thickness' },
  source: 'By definition; a hood has no floor.',
  doubt: 'nudge',
  work: (view, way: string): number => boxIn(view).outside[way as Way],
})

export const insideVolume = figure({
  id: 'housing.volume',
  of: begunBox,
  label: 'Room inside',
  quantity: 'volume',
  formula: 'V = \\v{x}\\,\\v{y}\\,\\v{z}',
  symbols: { x: '=housing.inside|x', y: '=housing.inside|y', z: '=housing.inside|z' },
  source: 'By definition; what a slanted front takes is left aside.',
  doubt: 'nudge',
  work: (view): number => (view.figure(insideSize, 'x') * view.figure(insideSize, 'y') * view.figure(insideSize, 'z')) / 1e9,
})

/** Corners of a box: each has a brace above and below, two of them sawn from a square. */
const CORNERS = 4

/**
 * Material of braces in all corners, mm³. @param leg Of a triangle, mm; 0: there are none. @param thickness mm. Valid: 0 or more. Source: by definition: one above and one below in each of four corners.
 * @example braceMaterial(80, 9) // 230400
 */
export function braceMaterial(leg: number, thickness: number): number {
  return CORNERS * leg * leg * thickness
}

export const braceLeg = figure({
  id: 'housing.braceLeg',
  label: 'Legs of its braces',
  quantity: 'length',
  formula: 'a',
  symbols: {},
  source: 'As entered; 0 where there are none.',
  doubt: 'nudge',
  work: (view): number => (view.bench.housing.make.braces === 'yes' ? view.bench.housing.make.brace : 0),
})

/** Mass of what a volume of the sheet is, kg. @param mm3 Material. */
const massOf = (mm3: number, density: number): number => (mm3 * density) / 1e9

export const boxMass = figure({
  id: 'housing.mass',
  of: begunBox,
  label: 'Mass of the box with its lid',
  quantity: 'mass',
  formula: 'm = \\rho V_p + m_l',
  symbols: {},
  source: 'Panels less what joints take out; densities of sheets (from memory).',
  doubt: 'nudge',
  work(view): number {
    const { panels } = boxIn(view)
    const { kind } = sheetInUse(view)
    const walls = panels.filter((it) => it.name !== 'lid')
    const t = view.figure(sheetThickness)
    return massOf(panelMaterial(walls, t) + braceMaterial(view.figure(braceLeg), t), SHEET_DENSITY[kind]) + view.figure(lidMass)
  },
})

/** Mass of the lid and where it hangs, kg and kg·mm from the hinge. */
function lidSums(view: View<HousingView>): { readonly mass: number; readonly moment: number } {
  const { panels, lid, frame } = boxIn(view)
  const { kind } = sheetInUse(view)
  const t = view.figure(sheetThickness)
  const { extra } = view.bench.housing.lid
  const density = SHEET_DENSITY[kind]
  const panel = panels.find((it) => it.name === 'lid')
  const parts: { readonly mass: number; readonly at: number }[] = [
    { mass: extra, at: lid.long / 2 },
    { mass: panel === undefined ? 0 : massOf(panelMaterial([panel], t), density), at: lid.long / 2 },
  ]
  if (frame !== null) {
    const { window } = view.bench.housing
    const bars = (2 * frame.upright + 2 * frame.level) * window.bar * t
    parts.push({ mass: massOf(bars, density), at: lid.long / 2 })
    parts.push({ mass: massOf(window.x * window.y * window.thick, SHEET_DENSITY[window.weighs]), at: lid.long / 2 })
  }
  return {
    mass: parts.reduce((sum, it) => sum + it.mass, 0),
    moment: parts.reduce((sum, it) => sum + it.mass * it.at, 0),
  }
}

export const lidMass = figure({
  id: 'housing.lidMass',
  of: begunBox,
  label: 'Mass of the lid',
  quantity: 'mass',
  formula: 'm = \\rho V + m_w + m_h',
  symbols: {},
  source: 'Panel or frame, window sheet, handle and hinge; densities of sheets (from memory).',
  doubt: 'nudge',
  work: (view): number => lidSums(view).mass,
})

export const lidCentre = figure({
  id: 'housing.lidCentre',
  of: begunBox,
  label: 'Its centre, from the hinge',
  quantity: 'length',
  formula: 'x = \\dfrac{\\sum m_i x_i}{\\sum m_i}',
  symbols: {},
  source: 'By definition.',
  doubt: 'nudge',
  work(view): number {
    const { mass, moment } = lidSums(view)
    return moment / mass
  },
})

/** Hoods that one person, or two, lift. */
export const aHood = subjectOf<HousingBench>()('hood', ({ housing }): readonly [][] =>
  isBegun(housing) && housing.size.floor.chosen === 'no' ? [[]] : [],
)

/** What a person lifts, kg. (ISO 11228-1, recommended for most adults, from memory) */
const LIFTS = { one: 15, two: 25 } as const

export const liftRoom = figure({
  id: 'housing.liftRoom',
  of: aHood,
  label: 'Against what is lifted',
  quantity: 'mass',
  signs: { above: 'lighter by', below: 'heavier by' },
  formula: 'm = m_p - \\v{m}',
  symbols: { m: '=housing.mass' },
  source: '15 kg for one person, 25 kg for two who reach over a bench (ISO 11228-1, from memory).',
  doubt: 'nudge',
  work: (view): number => LIFTS[view.bench.housing.size.lift] - view.figure(boxMass),
})
