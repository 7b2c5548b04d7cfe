import { templateOf } from '../core/bench'
import { airShape } from '../core/air'
import { lessonBenchId, LESSONS, machineWrong, type LessonId } from '../core/course'
import type { Bench } from '../core/document'
import { emptyBench } from '../core/document'
import type { Block, Gauge, Wire } from '../core/electrical'
import { reachShape } from '../core/reach'
import { glassesShape } from '../core/safety'
import { holderShape } from '../core/rotary'
import { drawFans, drawGlasses, drawMug, drawWiring, type WiredWrong } from '../core/workshop'
import { airWay, readAir as read, saidAir as said, statedAir as stated } from './airFacts'
import { practiceBench } from './practiceBench'
import type { BenchBundle } from './store'

/** The bench of a lesson: a practice machine, with what the lesson is about laid out and all that is to be found left open. */
export function lessonBench(lesson: LessonId, number: number, at: string): BenchBundle {
  const id = lessonBenchId(lesson, number)
  const { bench: built } = practiceBench(1, number, at)
  const bench: Bench = {
    ...built,
    id,
    name: `Lesson: ${LESSONS[lesson].name.toLowerCase()}, ${number}`,
    about: 'A lesson of the course: drawn by its number, and nothing of it is real.',
    calibrate: { ...built.calibrate, focusBy: '' },
  }
  return { bench: LAID[lesson]?.(bench, number) ?? bench, records: [], files: [] }
}

const LAID: Readonly<Partial<Record<LessonId, (bench: Bench, number: number) => Bench>>> = {
  focus: (bench) => ({ ...bench, optics: { ...bench.optics, gap: emptyBench('', '', bench.createdAt).optics.gap } }),
  eyewear,
  card: (bench) => {
    const sheet = { ...emptyMaterial(bench), name: 'A sheet nobody knows' }
    // Twelve cells are read as well as thirty-six, and burnt in a third of the time.
    const card = { ...bench.burns.card, columns: 4, rows: 3 }
    return { ...bench, burns: { ...bench.burns, card, materials: { sheet } } }
  },
  mug,
  head,
  fan,
  wrong: (bench, number) => {
    const { slow, fast } = machineWrong(number)
    const speed = (value: number) => stated(value.toFixed(1), 'mm/s')
    return { ...bench, faults: { ...bench.faults, slow: speed(slow), fast: speed(fast) } }
  },
}

/** A sheet of which nothing was tried. */
function emptyMaterial({ burns }: Bench): Bench['burns']['materials'][string] {
  const [some] = Object.values(burns.materials)
  if (some === undefined) throw new RangeError('the demo has no material')
  return { ...some, cards: {}, tries: {}, settings: {}, maskTries: {}, bareTone: guessedTone }
}
const guessedTone = { value: 78, typed: '78', typedUnit: 'tone', origin: 'assumed', doubt: { kind: 'halfWidth', a: 8 } } as const

/** Five pairs on the table, their labels not copied yet; nothing is worn. */
function eyewear(bench: Bench, number: number): Bench {
  const { wavelength, watts, pairs } = drawGlasses(number)
  const glasses = pairs.map(({ id, name, light }, k) => {
    const pair = templateOf(glassesShape, { order: k + 1, name, light: stated(String(Math.round(light * 100)), 'percent') })
    return [id, pair] as const
  })
  return {
    ...bench,
    optics: {
      ...bench.optics,
      wavelength: stated(String(wavelength), 'nm', 1),
      power: stated(watts.toFixed(1), 'W', 0.1),
    },
    safety: { ...bench.safety, glasses: Object.fromEntries(glasses), worn: '' },
    reach: templateOf(reachShape),
  }
}

/** An empty rotary, and three discs on the shelf. */
function mug(bench: Bench, number: number): Bench {
  const { discs } = drawMug(number)
  const holders = discs.map(({ id, outer }, k) => {
    const disc = templateOf(holderShape, {
      order: k + 1,
      kind: 'centring',
      name: `Disc ${['A', 'B', 'C'][k] ?? ''}`,
      outer: read(outer.toFixed(2), 'mm', 0.03, 'calipers'),
      inner: stated('8', 'mm'),
      made: bench.createdAt.slice(0, 10),
    })
    return [id, disc] as const
  })
  return {
    ...bench,
    rotary: {
      ...bench.rotary,
      objects: {},
      inHand: '',
      holders: Object.fromEntries(holders),
      seat: '',
      turnRuns: {},
      dialRuns: {},
      turnBy: '',
    },
  }
}

/** Changes one thing of the wiring for each fault. */
const WIRED: Readonly<Record<WiredWrong, (wiring: Wiring) => Wiring>> = {
  direct: (it) => rewired(it, 'w6', { from: 'psu' }),
  trim: (it) => ({ ...it, blocks: { ...it.blocks, buck: { ...(it.blocks['buck'] as Block), volts: stated('15', 'V', 0.3) } } }),
  thin: (it) => rewired(it, 'w9', { gauge: said<Gauge>('awg26') }),
  bypass: (it) => rewired(it, 'w9', { from: 'key' }),
  small: (it) => ({ ...it, blocks: { ...it.blocks, buck: { ...(it.blocks['buck'] as Block), amps: stated('2', 'A', 0.1) } } }),
}
type Wiring = Pick<Bench['electrical'], 'blocks' | 'wires'>

function rewired(it: Wiring, id: string, part: Partial<Wire>): Wiring {
  return { ...it, wires: { ...it.wires, [id]: { ...(it.wires[id] as Wire), ...part } } }
}

/** A head that somebody has wired, with what the number says wrong about it. */
function head(bench: Bench, number: number): Bench {
  const sound = rewired(bench.electrical, 'w9', { gauge: said<Gauge>('awg16') })
  const wiring = drawWiring(number).reduce((it, wrong) => WIRED[wrong](it), sound)
  return { ...bench, electrical: { ...bench.electrical, ...wiring } }
}

/** A box whose gaps are a guess, its duct as the water column read it, and no fan chosen yet. */
function fan(bench: Bench, number: number): Bench {
  const { air, inlet } = drawFans(number)
  const at = 150 / 3600
  const read_ = (k: number) => ({
    takes: stated((k * at * at).toFixed(1), 'Pa', 0.5),
    takesAt: stated('150', 'm3/h'),
  })
  const cm2 = (inlet * 1e4).toFixed(0)
  const out = airWay(
    1,
    'Way out',
    ['box', 'outdoors'],
    [
      ['before', 'flap', read_(air.before)],
      ['fan', 'fan', {}],
      ['behind', 'flap', read_(air.behind)],
    ],
  )
  return {
    ...bench,
    air: {
      ...templateOf(airShape),
      box: {
        ...bench.air.box,
        caught: said('box'),
        gaps: { ...stated('30', 'cm2', 22), origin: 'assumed' },
        inlet: stated(cm2, 'cm2'),
        turns: stated('0', 'count'),
      },
      room: { appliance: said('none'), supply: stated('2000', 'cm2', 100) },
      ways: { out },
      meter: {
        ...templateOf(airShape).meter,
        outDiameter: read('100.0', 'mm', 0.2, 'calipers'),
        inletArea: stated(cm2, 'cm2'),
      },
    },
  }
}
