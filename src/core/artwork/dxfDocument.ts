import { refused, type Finding, type Outcome } from '../units'
import { after, IDENTITY, mappedOutline, type Affine } from './affine'
import { layerOf, outlinesOfEntity, planeOf } from './dxfEntities'
import { entitiesOf, groupNumber, groupText, type Entity } from './dxfGroups'
import { boxOfShapes, isNumbers, type Drawing, type Shape } from './drawing'

/** More shapes than this are not drawn: a few nested inserts make millions. */
const MOST_SHAPES = 200_000
const DEEPEST = 32
/** Things that are kept of a file; each insert counts once. */
const MOST_ENTITIES = 2_000_000

/** mm of a unit, by the drawing's own number for it. Source: DXF reference, $INSUNITS (from memory). */
const UNITS: Readonly<Record<number, number>> = {
  1: 25.4,
  2: 304.8,
  4: 1,
  5: 10,
  6: 1000,
  8: 25.4e-6,
  9: 0.0254,
  10: 914.4,
  13: 0.001,
  14: 100,
}

const LEFT = {
  text: 'Text is not taken over: turn it into outlines in the tool that drew it',
  hatch: 'Hatches are not taken over: an outline that is to be filled is given to a fill here',
  measures: 'Dimensions and leaders are left out',
  image: 'Pictures within the drawing are not taken over: drop them by themselves',
  solid: 'What is no outline (meshes, solids, surfaces, views) is left out',
  point: 'Single points are left out',
  tilted: 'What lies tilted in space is left out: lay it into the plane of the drawing',
  hidden: 'What is hidden, or on a layer that is off or frozen, is left out',
  paper: 'What belongs to the printed sheet (paper space) is left out',
  lost: 'Something is inserted that is not in the file',
  shapes: `Nested inserts make more than ${MOST_SHAPES.toLocaleString('en')} shapes: the rest is left out`,
  number: 'The numbers of a shape make none: it is left out',
  fits: 'A curve is given by places alone: it is drawn smoothly through them, and may differ between them',
} as const
type Left = keyof typeof LEFT

const OTHER: Readonly<Record<string, Left>> = {
  TEXT: 'text',
  MTEXT: 'text',
  ATTRIB: 'text',
  ATTDEF: 'text',
  HATCH: 'hatch',
  MPOLYGON: 'hatch',
  DIMENSION: 'measures',
  LEADER: 'measures',
  MULTILEADER: 'measures',
  TOLERANCE: 'measures',
  IMAGE: 'image',
  WIPEOUT: 'image',
  POINT: 'point',
}

/** Things that say nothing about the drawing itself. */
const PASSED = new Set(['VIEWPORT', 'SEQEND', 'VERTEX', 'ENDBLK'])

interface Block {
  readonly base: { readonly x: number; readonly y: number }
  readonly entities: readonly Entity[]
}

/**
 * Reads a drawing exchange file. @returns Shapes in mm, or in its own unit where it names none (`hasUnits`), from the lower left corner of
 * all that is drawn; what was left out is said once each, with the line where it begins. Refused where nothing can be drawn.
 * Valid: text files; model space. Source: DXF reference, sections HEADER, TABLES, BLOCKS, ENTITIES (from memory).
 */
export function readDxf(text: string): Outcome<Drawing> {
  if (text.slice(0, 200).includes('\0')) {
    return refused('binary', 'This drawing is in binary form. Save it as text (ASCII) in the tool that drew it.')
  }
  const reader = new DxfReader(text)
  const shapes = reader.read()
  const box = boxOfShapes(shapes)
  if (box === null) {
    const more = reader.findings.map((it) => ` ${it.message}`).join('')
    return refused('nothing-drawn', `There is nothing in the drawing that could be burnt.${more}`)
  }
  const moved: Affine = [1, 0, 0, 1, -box.left, -box.bottom]
  return {
    ok: true,
    value: {
      width: box.right - box.left,
      height: box.top - box.bottom,
      hasUnits: reader.unit !== null,
      shapes: shapes.map((it) => ({ ...it, outlines: it.outlines.map((one) => mappedOutline(moved, one)) })),
    },
    findings: reader.findings,
  }
}

/** Where an insert stands: its map, how deep it is, what is being inserted, the layer that things on layer 0 take. */
interface Around {
  readonly map: Affine
  readonly using: readonly string[]
  readonly layer: string | null
}

class DxfReader {
  unit: number | null = null
  private readonly blocks = new Map<string, Block>()
  private readonly off = new Set<string>()
  private readonly left = new Map<Left, { count: number; first: string }>()
  private readonly shapes: Shape[] = []
  private brokenAt = 0
  private drawn = 0

  constructor(private readonly text: string) {}

  get findings(): readonly Finding[] {
    const said = [...this.left].map(([what, { count, first }]): Finding => {
      const times = count > 1 ? ` (${count.toLocaleString('en')} times, first ${first})` : first === '' ? '' : ` (${first})`
      return { code: `dxf-${what}`, severity: 'warning', message: `${LEFT[what]}${times}.` }
    })
    if (this.brokenAt === 0) return said
    const message = `Line ${this.brokenAt} is no code: what stands behind it is not read. The file may be cut off or damaged.`
    return [...said, { code: 'dxf-broken', severity: 'warning', line: this.brokenAt, message }]
  }

  read(): readonly Shape[] {
    const model = this.gather()
    const scale = this.unit ?? 1
    this.draw(model, { map: [scale, 0, 0, scale, 0, 0], using: [], layer: null })
    return this.shapes
  }

  /** Goes through the file once: units, layers that are off, blocks; gives the things of model space. */
  private gather(): readonly Entity[] {
    const model: Entity[] = []
    let section = ''
    let block: { name: string; base: Block['base']; entities: Entity[] } | null = null
    const things = entitiesOf(this.text)
    for (let it = things.next(); ; it = things.next()) {
      if (it.done === true) {
        this.brokenAt = it.value
        break
      }
      const { type } = it.value
      if (type === 'SECTION') {
        section = groupText(it.value, 2)
        if (section === 'HEADER') this.header(it.value)
      } else if (type === 'ENDSEC') section = ''
      else if (type === 'LAYER' && section === 'TABLES') this.layer(it.value)
      else if (section === 'BLOCKS' && type === 'BLOCK') {
        block = {
          name: groupText(it.value, 2),
          base: { x: groupNumber(it.value, 10, 0), y: groupNumber(it.value, 20, 0) },
          entities: [],
        }
        this.blocks.set(block.name, block)
      } else if (section === 'BLOCKS') block?.entities.push(it.value)
      else if (section === 'ENTITIES' && model.length < MOST_ENTITIES) model.push(it.value)
    }
    return model
  }

  private header({ groups }: Entity): void {
    const at = groups.findIndex((it) => it.code === 9 && it.value === '$INSUNITS')
    const said = at < 0 ? undefined : groups[at + 1]
    this.unit = said?.code === 70 ? (UNITS[Number(said.value)] ?? null) : null
  }

  private layer(entity: Entity): void {
    const isOff = groupNumber(entity, 62, 7) < 0 || (groupNumber(entity, 70, 0) & 1) === 1
    if (isOff) this.off.add(groupText(entity, 2))
  }

  private leave(what: Left, { type, line }: Entity): void {
    const before = this.left.get(what)
    if (before === undefined) this.left.set(what, { count: 1, first: `${type.slice(0, 20)}, line ${line}` })
    else before.count++
  }

  private draw(entities: readonly Entity[], around: Around): void {
    for (let i = 0; i < entities.length; i++) {
      const entity = entities[i] as Entity
      if (this.shapes.length >= MOST_SHAPES || ++this.drawn > MOST_ENTITIES) return this.leave('shapes', entity)
      if (PASSED.has(entity.type)) continue
      const vertices: Entity[] = []
      if (entity.type === 'POLYLINE') {
        while (entities[i + 1]?.type === 'VERTEX') vertices.push(entities[++i] as Entity)
      }
      this.one(entity, vertices, around)
    }
  }

  private one(entity: Entity, vertices: readonly Entity[], around: Around): void {
    const own = layerOf(entity)
    const layer = own === '0' && around.layer !== null ? around.layer : own
    if (groupNumber(entity, 67, 0) === 1) return this.leave('paper', entity)
    if (this.off.has(layer) || groupNumber(entity, 60, 0) === 1) return this.leave('hidden', entity)
    if (entity.type === 'INSERT') return this.insert(entity, { ...around, layer })
    const read = outlinesOfEntity(entity, vertices)
    if (read === undefined) return this.leave(OTHER[entity.type] ?? 'solid', entity)
    if (read === 'tilted') return this.leave('tilted', entity)
    const outlines = read?.map((it) => mappedOutline(around.map, it))
    if (outlines === undefined || !outlines.every(isNumbers)) return this.leave('number', entity)
    if (entity.type === 'SPLINE' && outlines[0]?.segments[0]?.kind === 'cubic') this.leave('fits', entity)
    const isFilled = entity.type === 'SOLID' || entity.type === 'TRACE'
    this.shapes.push({
      element: entity.type,
      id: groupText(entity, 5),
      layer,
      outlines,
      fill: isFilled ? colourOf(entity) : null,
      stroke: isFilled ? null : colourOf(entity),
      strokeWidth: 0,
      fillRule: 'nonzero',
    })
  }

  private insert(entity: Entity, around: Around): void {
    const name = groupText(entity, 2)
    const block = this.blocks.get(name)
    if (block === undefined || around.using.includes(name)) return this.leave('lost', entity)
    if (around.using.length >= DEEPEST) return this.leave('shapes', entity)
    const plane = planeOf(entity)
    if (plane === 'tilted') return this.leave('tilted', entity)
    const n = (code: number, otherwise: number): number => groupNumber(entity, code, otherwise)
    const [x, y, sx, sy] = [n(10, 0), n(20, 0), n(41, 1), n(42, 1)]
    const turn = (n(50, 0) * Math.PI) / 180
    const [columns, rows] = [Math.max(1, n(70, 1)), Math.max(1, n(71, 1))]
    const [wide, high] = [n(44, 0), n(45, 0)]
    if (![x, y, sx, sy, turn, columns, rows, wide, high].every((it) => Number.isFinite(it))) return this.leave('number', entity)
    const [c, s] = [Math.cos(turn), Math.sin(turn)]
    const placed = after(plane ?? IDENTITY, [c, s, -s, c, x, y])
    for (let row = 0; row < rows; row++) {
      for (let column = 0; column < columns; column++) {
        if (this.shapes.length >= MOST_SHAPES) return this.leave('shapes', entity)
        const cell: Affine = [sx, 0, 0, sy, column * wide - block.base.x * sx, row * high - block.base.y * sy]
        const before = this.drawn
        this.draw(block.entities, { ...around, map: after(around.map, after(placed, cell)), using: [...around.using, name] })
        // An empty block that is arrayed a million times draws nothing, again and again.
        if (this.drawn === before) return
      }
    }
  }
}

/** How a thing is drawn, as one word: its own colour, or that of its layer. */
function colourOf(entity: Entity): string {
  const own = groupNumber(entity, 62, 256)
  return Number.isInteger(own) && own > 0 && own < 256 ? `colour ${own}` : 'as its layer'
}
