import * as Comlink from 'comlink'
import { create } from 'zustand'
import { shownNumber } from '../core/bench'
import { bareToneOf, cardCells, USUAL_BARE, USUAL_LAW, type CardShape } from '../core/burn'
import { curvePoints, outOfFocus, rayleigh, waist } from '../core/calibrate'
import { machineLimits, type Bench } from '../core/document'
import { lightFollows } from '../core/electrical'
import { layoutCard, middleSpeed, toneLaw } from '../core/testcard'
import { refused, type Outcome } from '../core/units'
import type { BurnAsk, BurnWorker } from '../workers/burn.worker'
import type { CardPlan } from './cards'
import { engineOf } from './evaluate'
import { scanIds, writeThroughCard } from './scaleRun'
import { DONE, told, type Told } from './told'

/** Side of a cell of the map, mm. */
const PITCH = 0.1

/** The burn that is simulated, and the card as it came out of it. */
interface Seen {
  /** Share that is done; null while nothing is burnt. */
  readonly share: number | null
  readonly picture: ImageBitmap | null
  /** The design that it shows. */
  readonly of: string
}

export const useBurnSeen = create<Seen>()(() => ({ share: null, picture: null, of: '' }))

let at: Comlink.Remote<BurnWorker> | null = null

/** The worker that burns into maps. */
export function burnWorker(): Comlink.Remote<BurnWorker> {
  at ??= Comlink.wrap<BurnWorker>(new Worker(new URL('../workers/burn.worker.ts', import.meta.url), { type: 'module' }))
  return at
}

/** A card that is designed, as one word: what a simulated burn of it is known by. */
export function designOf(card: CardShape): string {
  return JSON.stringify({ ...card, code: '', order: 0, at: '', originX: 0, originY: 0, cells: 0 }, Object.keys(card).sort())
}

/** Burns a card that is designed into a map of dose and shows what its tones come to. @returns What stands in the way. */
export async function seeCardBurnt(bench: Bench, materialId: string, { card, machine, steps }: CardPlan): Promise<Told> {
  const ask = askOf(bench, materialId, card, machine)
  if (!ask.ok) return ask.findings
  const written = writeThroughCard(bench, steps())
  if (!written.ok) return written.findings
  useBurnSeen.setState({ share: 0 })
  try {
    const seen = await burnWorker().burn(
      { ...ask.value, text: written.value },
      Comlink.proxy((share: number) => useBurnSeen.setState({ share })),
    )
    if (seen === null) return told('It was given up.')
    if (!seen.ok) return seen.findings
    useBurnSeen.setState({ picture: seen.value.picture, of: designOf(card) })
    return DONE
  } catch {
    at = null
    return told('The burn could not be worked: the memory of this browser may be full. Make the card smaller.')
  } finally {
    useBurnSeen.setState({ share: null })
  }
}

/** Gives a simulated burn up. */
export function stopBurning(): void {
  void at?.giveUp()
}

function askOf(bench: Bench, materialId: string, card: CardShape, machine: CardPlan['machine']): Outcome<Omit<BurnAsk, 'text'>> {
  const { width, height } = layoutCard(card)
  const { originX: left, originY: bottom } = card
  const light = burningOn(bench, materialId, machine)
  if (!light.ok) return light
  const box = { left, bottom, right: left + width, top: bottom + height }
  return { ok: true, value: { ...light.value, box, pitch: PITCH, speed: middleSpeed(cardCells(card)) }, findings: [] }
}

/** What a burn on a material of the book is simulated with, or what is missing, with where it is entered. @param delays Seconds; null where nobody measured. */
export function burningOn(
  bench: Bench,
  materialId: string,
  delays: Pick<CardPlan['machine'], 'onDelay' | 'offDelay'>,
): Outcome<Omit<BurnAsk, 'text' | 'box' | 'pitch' | 'speed'>> {
  const engine = engineOf(bench)
  const limits = machineLimits(engine)
  const watts = bench.optics.power.value
  const fullS = bench.electrical.fullPower.value
  const side = (axis: 'x' | 'y') => {
    const [radius, length] = [engine.value(waist, axis), engine.value(rayleigh, axis)].map((it) => shownNumber(it.result))
    const order = bench.optics.flatAlong.chosen === axis ? (bench.optics.flatOrder.value ?? 6) : 2
    return radius == null || length == null ? null : { radius, rayleigh: length, order }
  }
  const [x, y] = [side('x'), side('y')]
  if (limits === null) {
    const path = `motion.axes.${scanIds(bench).x}.acceleration`
    return refused('no-limits', 'Speeds and accelerations of the machine are not known: enter them on Motion first.', { path })
  }
  if (watts === null || fullS === null) {
    const path = watts === null ? 'optics.power' : 'electrical.fullPower'
    return refused('no-power', 'Optical power and full power word are not known: enter them first.', { path })
  }
  if (x === null || y === null) {
    const path = x === null ? 'optics.spotX' : 'optics.spotY'
    return refused('no-spot', 'The spot is not known, so that the burn cannot be shown: enter it, or burn a focus ramp.', {
      path,
    })
  }
  const curve = engine.value(curvePoints).result
  const points = curve.known && curve.value.length > 1 ? curve.value : [{ share: 1, watts }]
  const sorted = [{ share: 0, watts: 0 }, ...points.filter((it) => it.share > 0)].sort((p, q) => p.share - q.share)
  const most = Math.max(...sorted.map((it) => it.watts))
  const law = engine.value(toneLaw, materialId).result
  const material = bench.burns.materials[materialId]
  const value = {
    limits,
    light: {
      fullS,
      shares: sorted.map((it) => it.share),
      watts: sorted.map((it) => (it.watts * watts) / most),
      pulsesHz: null,
      followsSpeed: lightFollows(bench.output.card.manner, bench.electrical.followsSpeed.chosen),
      onDelay: delays.onDelay ?? 0,
      offDelay: delays.offDelay ?? 0,
    },
    beam: { x, y, turnRad: 0 },
    surface: shownNumber(engine.value(outOfFocus).result) ?? 0,
    passes: 1,
    tone: law.known ? law.value.law : { ...USUAL_LAW, bare: material === undefined ? USUAL_BARE : bareToneOf(material) },
  }
  return { ok: true, value, findings: [] }
}
