import { circleOutline, type Outline } from '../artwork'
import type { Plain } from '../bench'
import type { Enclosure, EnclosurePanel } from './enclosure'
import type { PortFacts, Wall } from './slice'

/** A panel as it is cut, from the lower left corner of its box as seen from outside. */
export interface PanelDrawing {
  readonly panel: EnclosurePanel
  readonly contour: Outline
  readonly holes: readonly { readonly name: string; readonly outline: Outline }[]
}

function closedLine(places: readonly (readonly [number, number])[]): Outline {
  const [[x, y] = [0, 0], ...rest] = places
  const start = { x, y }
  return {
    start,
    segments: [...rest.map(([p, q]) => ({ kind: 'line', to: { x: p, y: q } }) as const), { kind: 'line', to: start }],
    isClosed: true,
  }
}

/** A rectangle as a closed outline, by its lower left corner. Valid: any size. Source: by definition. */
export const rectangleOutline = (x: number, y: number, w: number, h: number): Outline =>
  closedLine([
    [x, y],
    [x + w, y],
    [x + w, y + h],
    [x, y + h],
  ])

/** Which panel a wall is cut from: a lid lies in the place of the roof, or of the front. */
function panelOf(wall: Wall, { panels }: Enclosure): EnclosurePanel | undefined {
  const own = panels.find((it) => it.name === wall)
  if (own !== undefined) return own
  return wall === 'roof' || wall === 'front' ? panels.find((it) => it.name === 'lid') : undefined
}

/** How far in from the edge of a wall outside its panel begins, mm: what stands between two others begins behind them. */
function insetOf(panel: EnclosurePanel, wall: Wall, { outside }: Enclosure): readonly [x: number, y: number] {
  const wide = wall === 'left' || wall === 'right' ? outside.y : outside.x
  const high = wall === 'roof' || wall === 'floor' ? outside.y : outside.z
  const isLevel = wall === 'roof' || wall === 'floor'
  return [Math.max(0, (wide - panel.along) / 2), isLevel ? Math.max(0, (high - panel.across) / 2) : 0]
}

/** Panels with their openings as they are cut. @param ports What is put into the walls. Valid: a box of `enclosureOf`. Source: by definition: places are measured from outside, a panel that stands between others begins behind them. */
export function panelDrawings(box: Enclosure, ports: readonly Plain<PortFacts>[]): readonly PanelDrawing[] {
  return box.panels.map((panel) => {
    const contour = panel.outline === null ? rectangleOutline(0, 0, panel.along, panel.across) : closedLine(panel.outline)
    const window = panel.name === 'lid' && box.frame !== null ? [windowHole(panel, box.frame.open)] : []
    const holes = ports
      .filter((it) => it.kind !== 'label' && panelOf(it.wall, box) === panel && !Number.isNaN(it.x + it.y + it.width))
      .map((it) => {
        const [dx, dy] = insetOf(panel, it.wall, box)
        // A slanted side is drawn with its front at the left: on the left wall that is its right edge.
        const x = it.wall === 'left' && panel.outline !== null ? panel.along - (it.x - dx) : it.x - dx
        const y = it.y - dy
        const outline =
          it.round === 'yes'
            ? circleOutline({ x, y }, it.width / 2)
            : rectangleOutline(x - it.width / 2, y - it.height / 2, it.width, it.height)
        return { name: it.name, outline }
      })
    return { panel, contour, holes: [...window, ...holes] }
  })
}

function windowHole({ along, across }: EnclosurePanel, open: { readonly width: number; readonly height: number }) {
  return {
    name: 'window',
    outline: rectangleOutline((along - open.width) / 2, (across - open.height) / 2, open.width, open.height),
  }
}

/** A panel as a solid block in its place, from the inner corner left, front, below, mm. */
export interface PanelBlock {
  readonly name: EnclosurePanel['name']
  readonly low: readonly [number, number, number]
  readonly high: readonly [number, number, number]
  /** Outline of a slanted side over y and z, from its front; null: a block. */
  readonly outline: EnclosurePanel['outline']
  /** Where a slanted lid begins and ends, over y and z; null: level or upright. */
  readonly slant: readonly [readonly [number, number], readonly [number, number]] | null
}

/** Panels in their places, for a picture. @param t Thickness, mm. Valid: a box of `enclosureOf`; joints are left aside. Source: by definition. */
export function panelBlocks({ panels, inside: { x, y, z }, outside }: Enclosure, t: number): readonly PanelBlock[] {
  const foot = outside.z - z > 1.5 * t ? -t : 0
  const top = foot + outside.z
  const block = (name: PanelBlock['name'], low: PanelBlock['low'], high: PanelBlock['high']): PanelBlock => ({
    name,
    low,
    high,
    outline: null,
    slant: null,
  })
  const has = (name: string): boolean => panels.some((it) => it.name === name)
  const side = panels.find((it) => it.name === 'left')
  const roof = panels.find((it) => it.name === 'roof')
  const frontPanel = panels.find((it) => it.name === 'front')
  const slanted = side?.outline ?? null
  const isAngled = slanted !== null
  const isFrontLid = !has('front')
  // With a lid on top the walls end under it.
  const wall = has('roof') ? top : top - t
  const begins = isFrontLid ? 0 : -t
  const sides = (name: 'left' | 'right', from: number): PanelBlock => ({
    ...block(name, [from, begins, foot], [from + t, y + t, wall]),
    outline: side?.outline ?? null,
  })
  const found: PanelBlock[] = [sides('left', -t), sides('right', x), block('back', [0, y, foot], [x, y + t, wall])]
  if (frontPanel !== undefined) found.push(block('front', [0, -t, foot], [x, 0, isAngled ? foot + frontPanel.across : wall]))
  if (roof !== undefined) found.push(block('roof', [0, isAngled ? y + t - roof.across - t : 0, top - t], [x, y, top]))
  if (has('floor')) found.push(block('floor', [0, 0, -t], [x, y, 0]))
  if (slanted !== null) {
    const [a, b] = [slanted[1] ?? [0, 0], slanted[2] ?? [0, 0]]
    found.push({
      ...block('lid', [-t, -t + a[0], foot + a[1]], [x + t, -t + b[0], foot + b[1]]),
      slant: [
        [-t + a[0], foot + a[1]],
        [-t + b[0], foot + b[1]],
      ],
    })
  } else if (isFrontLid) found.push(block('lid', [-t, -t, foot], [x + t, 0, top]))
  else found.push(block('lid', [-t, -t, top - t], [x + t, y + t, top]))
  return found
}
