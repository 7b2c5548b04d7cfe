import * as Comlink from 'comlink'
import {
  createStandIn,
  dialOf,
  drawPractice,
  drawAir,
  drawRotary,
  readingOfAir,
  type AirAsked,
  type AirSaid,
  drawTone,
  fromAbove,
  hiddenTone,
  hiddenVolts,
  lightReading,
  lookAt,
  mended,
  meterReading,
  openingsOf,
  overrunOf,
  photograph,
  pluckedSound,
  readBoard,
  readCalipers,
  seeded,
  STEADY,
  surfaceOf,
  type FromAbove,
  type Grade,
  type Hidden,
  type HiddenAir,
  type Mark,
  type Mend,
  type PracticeFault,
  type MeterCircuit,
  type Random,
  type Reading,
  type ReadOut,
  type StandIn,
  type StandInFault,
  type StandInSpec,
  type Turning,
} from '../core/workshop'

/** Seconds of the stand-in's clock for one of the wall's; Infinity: at once. */
export type ClockRate = number

export interface StandInStart {
  readonly spec: StandInSpec
  readonly number: number
  readonly settings: Readonly<Record<string, string>>
  readonly fault: StandInFault | null
  /** A practice machine of this grade, the faults that a lesson gives it, and what was done to it with a spanner. */
  readonly practice: {
    readonly grade: Grade
    readonly given: readonly PracticeFault[] | null
    readonly mends: readonly Mend[]
  } | null
  /** Its box and duct, where a lesson has its own. */
  readonly air: HiddenAir | null
  readonly rate: ClockRate
  /** Draws the noise of the calipers: another number, other noise. */
  readonly noise: number
}

/** A reading of an instrument, and its standard uncertainty. */
export interface Metered {
  readonly value: number
  readonly u: number
}

/** The stand-in on its own clock, away from the page. */
/** A box of the bed, mm. */
export interface BedBox {
  readonly left: number
  readonly bottom: number
  readonly right: number
  readonly top: number
}

export interface WorkshopWorker {
  start(options: StandInStart, hear: (line: string) => void): void
  receive(line: string): void
  setRate(rate: ClockRate): void
  marks(): readonly (Mark | null)[]
  settings(): Readonly<Record<string, string>>
  read(reading: Reading): ReadOut
  /** The sound of one of its belts, plucked. */
  pluck(
    belt: keyof Hidden['pull'],
    massPerMetreKg: number,
    spanMm: number,
  ): { samples: Float32Array; sampleRateHz: number } | null
  /** Volts at a block of the circuit as it is wired on its bench, by its multimeter; null without a stand-in. */
  volts(circuit: MeterCircuit, block: string): Metered | null
  /** A picture of its sheet by its camera, four bytes a pixel; null where nothing was burnt. */
  photo(): { width: number; height: number; data: Uint8ClampedArray } | null
  /** CIE L* of places of the sheet as the eye guesses them; places as shares of the box that was burnt, from its lower left. */
  look(places: readonly { readonly x: number; readonly y: number; readonly side: number }[]): readonly number[] | null
  /** A box of its bed as a camera straight above sees it, each pixel so many mm; null without a stand-in. */
  above(box: BedBox, pitch: number): FromAbove | null
  /** L* of its sheet where nothing was burnt, as a grey card says it; null without a stand-in. */
  bare(): Metered | null
  /** How far a mark on its rotary stands past itself after turning, mm, by its loupe; null without a stand-in. */
  overrun(turning: Turning): Metered | null
  /** What a dial against what its rotary turns shows at an angle, mm; null without a stand-in. */
  dial(angle: number): Metered | null
  /** What anemometer and water column say of its box and duct; null without a stand-in. */
  air(asked: AirAsked): AirSaid | null
  /** Light of its head by its power meter, W; null without a stand-in. */
  light(watts: number, share: number | null): Metered | null
}

const TICK = 40
/** Cells of the sheet that the camera looks at, mm. */
const CAMERA_PITCH = 0.08
const CALIPERS = { max: 150, resolution: 0.01 }

let standIn: StandIn | null = null
let noise: Random = seeded(1)
let number = 1
let air: HiddenAir | null = null
let rate: ClockRate = 1
let timer: ReturnType<typeof setInterval> | undefined

/** Seconds of a burn after which a stand-in in a hurry says where it is. */
const HURRY = 2

/** Lets a tick pass; one in a hurry gets on as far as a tick lets it, and says where it is as a real machine does. */
function passTime(): void {
  if (rate !== Infinity) return standIn?.advance((rate * TICK) / 1000)
  const until = performance.now() + TICK
  do standIn?.advance(HURRY)
  while (standIn?.resting === false && performance.now() < until)
}

/** Time passes only while there is something to do. */
function keepTime(): void {
  if (standIn === null || standIn.resting || timer !== undefined) return
  timer = setInterval(() => {
    passTime()
    if (standIn?.resting !== false) {
      clearInterval(timer)
      timer = undefined
    }
  }, TICK)
}

const api: WorkshopWorker = {
  start(options, hear) {
    rate = options.rate
    number = options.number
    air = options.air
    noise = seeded(options.noise)
    const { practice, spec } = options
    const hidden = practice?.mends.reduce(mended, drawPractice(number, practice.grade, spec, practice.given).hidden)
    standIn = createStandIn({ ...options, say: hear, ...(hidden === undefined ? {} : { hidden }) })
  },
  receive(line) {
    standIn?.receive(line)
    keepTime()
  },
  setRate(next) {
    rate = next
  },
  marks: () => standIn?.marks ?? [],
  settings: () => standIn?.settings ?? {},
  read: (reading) =>
    standIn === null
      ? { ok: false, why: 'The stand-in is not connected.' }
      : 'board' in reading
        ? readBoard(standIn.board(reading.board), CALIPERS, standIn.hidden.calipers, noise)
        : readCalipers(standIn.marks, reading, CALIPERS, standIn.hidden.calipers, noise),
  pluck(belt, massPerMetreKg, spanMm) {
    if (standIn === null) return null
    const toneHz = hiddenTone(standIn.hidden.pull[belt], massPerMetreKg, spanMm)
    const sampleRateHz = 44_100
    const samples = pluckedSound({ toneHz, sampleRateHz, seconds: 2.2, noise: 0.15 }, noise)
    return Comlink.transfer({ samples, sampleRateHz }, [samples.buffer])
  },
  volts(circuit, block) {
    if (standIn === null) return null
    const { volts, u } = meterReading(hiddenVolts(circuit, number).get(block) ?? 0, noise)
    return { value: volts, u }
  },
  photo() {
    const sheet = standIn === null ? null : surfaceOf(standIn.falls, drawTone(number), CAMERA_PITCH, openingsOf(standIn.marks))
    if (sheet === null) return null
    // It is held a little differently each time.
    const shot = { ...STEADY, tiltRad: 0.25 * noise(), towardRad: 6.28 * noise(), turnRad: 0.3 * (noise() - 0.5) }
    const picture = photograph(sheet, shot, noise)
    return Comlink.transfer(picture, [picture.data.buffer])
  },
  look(places) {
    const sheet = standIn === null ? null : surfaceOf(standIn.falls, drawTone(number), CAMERA_PITCH)
    return sheet === null ? null : places.map((it) => lookAt(sheet, it, noise))
  },
  above(box, pitch) {
    if (standIn === null) return null
    const tone = drawTone(number)
    const bare = ((tone.bare + 16) / 116) ** 3
    const seen = fromAbove(surfaceOf(standIn.falls, tone, CAMERA_PITCH), bare, box, pitch)
    return Comlink.transfer(seen, [seen.luminance.buffer])
  },
  bare() {
    if (standIn === null) return null
    return { value: Math.round(drawTone(number).bare + 2 * (noise() - 0.5)), u: 1 }
  },
  overrun(turning) {
    const rotary = drawRotary(number)
    return standIn === null ? null : { value: overrunOf(rotary, turning, noise), u: rotary.loupe }
  },
  dial(angle) {
    const rotary = drawRotary(number)
    return standIn === null ? null : { value: dialOf(rotary, angle, noise), u: rotary.dial }
  },
  air(asked) {
    return standIn === null ? null : readingOfAir(air ?? drawAir(number), asked, noise)
  },
  light(watts, share) {
    if (standIn === null) return null
    const { watts: value, u } = lightReading(watts, number, noise, share)
    return { value, u }
  },
}

Comlink.expose(api)
