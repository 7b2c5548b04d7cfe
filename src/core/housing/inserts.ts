import { circleOutline, strokesOf, strokesWidth, type Outline } from '../artwork'
import type { Plain } from '../bench'
import { rectangleOutline } from './outlines'
import type { PortFacts, PortKind } from './slice'

/** A plate that goes over an opening, or a label, as it is cut: outlines from its lower left corner. */
export interface InsertPlate {
  readonly name: string
  readonly width: number
  readonly height: number
  readonly cut: readonly Outline[]
  readonly mark: readonly Outline[]
}

/** Ports that get a plate over them, and those that are one. */
const PLATED: readonly PortKind[] = ['cable', 'hose', 'controller', 'camera', 'lamp']
/** How far a plate reaches beyond its opening, and its screw holes, mm. (common practice) */
const RIM = 15
const SCREW = 3.2
/** Letters of a label: a share of its height, and of its width at most. */
const LETTERS = { high: 0.4, wide: 0.85 } as const

/** Plates for the openings of a box, and its labels with their words. @param ports What is put into the walls; those without sizes are left out. Valid: any. Source: by definition; a rim of 15 mm with four screws (common practice). @throws {RangeError} for a label without height. */
export function insertPlates(ports: readonly Plain<PortFacts>[]): readonly InsertPlate[] {
  return ports.flatMap((it): readonly InsertPlate[] => {
    const height = it.round === 'yes' ? it.width : it.height
    if (Number.isNaN(it.width + height)) return []
    if (it.kind === 'label') return [labelPlate(it.name, it.width, height)]
    return PLATED.includes(it.kind) ? [coverPlate(it, height)] : []
  })
}

function coverPlate({ name, width, round }: Plain<PortFacts>, height: number): InsertPlate {
  const [w, h] = [width + 2 * RIM, height + 2 * RIM]
  const hole = round === 'yes' ? circleOutline({ x: w / 2, y: h / 2 }, width / 2) : rectangleOutline(RIM, RIM, width, height)
  const screws = [RIM / 2, w - RIM / 2].flatMap((x) => [RIM / 2, h - RIM / 2].map((y) => circleOutline({ x, y }, SCREW / 2)))
  return { name, width: w, height: h, cut: [hole, ...screws, rectangleOutline(0, 0, w, h)], mark: [] }
}

function labelPlate(name: string, width: number, height: number): InsertPlate {
  const one = strokesWidth(name, 1)
  const letters = Math.min(LETTERS.high * height, (LETTERS.wide * width) / Math.max(one, 1e-6))
  const at = { x: (width - strokesWidth(name, letters)) / 2, y: (height - letters) / 2 }
  return { name, width, height, cut: [rectangleOutline(0, 0, width, height)], mark: strokesOf(name, at, letters) }
}
