import { setAt, shownNumber, templateOf } from '../core/bench'
import {
  bareToneOf,
  CARD_VARIABLES,
  type CardDraft,
  cardShape,
  type CardShape,
  type CardVariable,
  type CellReading,
} from '../core/burn'
import { newestTrial, offDelay, onDelay } from '../core/calibrate'
import { axisIds, type Bench } from '../core/document'
import type { Step } from '../core/gcode'
import { whyNotBurnt } from '../core/safety'
import {
  cardRoom,
  cardSteps,
  cardThatTells,
  luminanceOf,
  smallGrid,
  toneSetting,
  type CardMachine,
  type CellTone,
} from '../core/testcard'
import { refused, type Outcome } from '../core/units'
import { newId } from '../data/ids'
import { editBench, useBenchStore } from './benchStore'
import { modulesOfCode, newCardCode } from './cardCode'
import { engineOf } from './evaluate'
import { scanIds, type RunDraft } from './scaleRun'
import { NO_BENCH, told, type Told } from './told'

/** What a side of a card usually goes through, and what it may. Shares, mm/s, mm. */
const RANGES: Readonly<Record<CardVariable, { usual: readonly [number, number]; least: number; most: number; words: string }>> = {
  power: { usual: [0.25, 1], least: 0.01, most: 1, words: 'Power lies between 1 and 100 %.' },
  speed: { usual: [20, 80], least: 0.1, most: 1000, words: 'Speed lies between 0.1 and 1000 mm/s.' },
  pitch: { usual: [0.06, 0.2], least: 0.02, most: 2, words: 'Scan pitch lies between 0.02 and 2 mm.' },
  passes: { usual: [1, 4], least: 1, most: 20, words: 'Passes are whole, 1 to 20.' },
  focus: { usual: [-2, 2], least: -20, most: 20, words: 'The head is moved by 20 mm at most.' },
}
const ENDS = { acrossFrom: 'across', acrossTo: 'across', upFrom: 'up', upTo: 'up' } as const

/** Changes the card that is being designed. @returns What stands in the way; then nothing is changed. */
export function designCard(change: Partial<CardDraft>): Told {
  const { bench } = useBenchStore.getState()
  if (bench === null) return NO_BENCH
  const draft = { ...bench.burns.card, ...change }
  if (draft.across === draft.up) return told('Both sides would go through the same. Choose another for one of them.')
  const whole = (value: number): boolean => Number.isInteger(value) && value >= 1 && value <= 12
  if (!whole(draft.columns) || !whole(draft.rows)) return told('A card has 1 to 12 columns and rows.')
  if (!(draft.cell >= 2 && draft.cell <= 30)) return told('A cell is 2 to 30 mm wide.')
  if (!(draft.markPower > 0.01 && draft.markPower <= 1)) return told(RANGES.power.words)
  if (!(draft.markSpeed >= 1 && draft.markSpeed <= 1000)) return told('Marks are burnt at 1 to 1000 mm/s.')
  const wrong = valuesFinding(draft)
  if (wrong !== null) return told(wrong)
  return editBench('the card that is designed', (it) => setAt(it, 'burns.card', draft))
}

/** What is wrong with a value of a card, or null. */
function valuesFinding(draft: CardDraft): string | null {
  const isIn = (kind: CardVariable, value: number): boolean =>
    value >= RANGES[kind].least && value <= RANGES[kind].most && (kind !== 'passes' || Number.isInteger(value))
  for (const kind of CARD_VARIABLES) if (!isIn(kind, draft[kind])) return RANGES[kind].words
  for (const [end, side] of Object.entries(ENDS) as [keyof typeof ENDS, 'across' | 'up'][]) {
    if (!isIn(draft[side], draft[end])) return RANGES[draft[side]].words
  }
  return null
}

/** Lets a side go through something else, over its usual range. @returns What stands in the way. */
export function goThrough(side: 'across' | 'up', kind: CardVariable): Told {
  const [from, to] = RANGES[kind].usual
  const other = side === 'across' ? 'up' : 'across'
  const { bench } = useBenchStore.getState()
  if (bench?.burns.card[other] === kind) return told('The other side goes through that already.')
  return designCard(side === 'across' ? { across: kind, acrossFrom: from, acrossTo: to } : { up: kind, upFrom: from, upTo: to })
}

/** Grids that each kind of card begins with. */
const BEGINS = {
  scan: {
    across: 'power',
    acrossFrom: 0.25,
    acrossTo: 1,
    columns: 6,
    up: 'speed',
    upFrom: 20,
    upTo: 80,
    rows: 6,
    power: 1,
    passes: 1,
  },
  cut: {
    across: 'passes',
    acrossFrom: 1,
    acrossTo: 3,
    columns: 3,
    up: 'speed',
    upFrom: 3,
    upTo: 16,
    rows: 5,
    power: 1,
    passes: 1,
  },
} as const satisfies Readonly<Record<CardDraft['does'], Partial<CardDraft>>>

/** Lets the cells be scanned, or cut along their edge, over a usual grid. @returns What stands in the way. */
export function letCells(does: CardDraft['does']): Told {
  return designCard({ does, ...BEGINS[does] })
}

/** What a card's program is made with on this machine; null while the acceleration is not known. */
function machineOf(bench: Bench): CardMachine | null {
  const { x } = scanIds(bench)
  const acceleration = bench.controller.axes[x]?.acceleration.value ?? bench.motion.axes[x]?.acceleration.value ?? null
  if (acceleration === null) return null
  return { acceleration, ...delaysOf(bench) }
}

/** Seconds by which the light comes and goes late on this machine; null where nobody measured. */
export function delaysOf(bench: Bench): Pick<CardMachine, 'onDelay' | 'offDelay'> {
  const trial = newestTrial(bench.calibrate.trials, 'delay')
  const late = (def: typeof onDelay): number | null => {
    const known = trial === null ? null : shownNumber(engineOf(bench).value(def, trial).result)
    return known === null ? null : Math.max(0, known)
  }
  return { onDelay: late(onDelay), offDelay: late(offDelay) }
}

/** A card as it would be burnt now, its corner where the marks begin and its run-up to the left of it. */
export interface CardPlan {
  readonly card: CardShape
  readonly machine: CardMachine
  readonly steps: () => readonly Step[]
}

/** Plans a card of a design. @returns What stands in the way, with where it is entered. */
export function planCard(bench: Bench, design: CardDraft, code: string): Outcome<CardPlan> {
  const machine = machineOf(bench)
  if (machine === null) {
    return refused(
      'no-acceleration',
      'The acceleration of X is not known: read the settings of the machine, or enter it on Motion.',
      {
        path: `motion.axes.${scanIds(bench).x}.acceleration`,
      },
    )
  }
  const { startX, startY } = bench.calibrate
  if (startX.value === null || startY.value === null) {
    return refused('not-known', 'Enter where the marks begin.', {
      path: startX.value === null ? 'calibrate.startX' : 'calibrate.startY',
    })
  }
  const lifts = design.across === 'focus' || design.up === 'focus' || design.focus !== 0
  if (lifts && !axisIds(bench).some((id) => bench.motion.axes[id]?.letter === 'Z')) {
    const message =
      'No program moves the head of this machine up and down: it has no Z axis. Turn the head by hand and burn a card at each height.'
    return refused('no-z', message)
  }
  const place = { order: 1, at: new Date(0).toISOString(), code, originX: startX.value, originY: startY.value, cells: {} }
  const flat: CardShape = { ...design, ...place }
  const card = {
    ...flat,
    originX: flat.originX + Math.ceil(cardRoom(flat, machine).left),
  }
  return { ok: true, value: { card, machine, steps: () => cardSteps(card, modulesOfCode(code), machine) }, findings: [] }
}

/** A card on its way out: part of the book once it is burnt, or handed out. */
export function draftOfCard(materialId: string, card: CardShape): Outcome<RunDraft> {
  const { bench } = useBenchStore.getState()
  const material = bench?.burns.materials[materialId]
  if (bench === null || material === undefined) return refused('closed', 'This material is not in the book any more.')
  const against = whyNotBurnt(material.kind)
  if (against !== null) return refused('not-burnt', `${material.name} is not burnt. ${against}.`)
  const id = newId()
  const keep = (): Told => {
    const order = 1 + Math.max(0, ...Object.values(material.cards).map((it) => it.order))
    const row = templateOf(cardShape, { ...card, order, at: new Date().toISOString() })
    return editBench('a test card', (it) => setAt(it, `burns.materials.${materialId}.cards.${id}`, row))
  }
  return { ok: true, value: { id, keep }, findings: [] }
}

/** Design of the small card that tells most about the wanted tone. @returns What stands in the way. */
export function designNext(materialId: string): Told {
  const { bench } = useBenchStore.getState()
  if (bench === null) return NO_BENCH
  const { result } = engineOf(bench).value(cardThatTells, materialId)
  if (!result.known) return told('The tone is not known well enough yet: read a first card.')
  return designCard({ ...bench.burns.card, ...smallGrid(result.value), does: 'scan', focus: 0 })
}

/** Design of a single patch of the setting for the wanted tone, to prove it. @returns What stands in the way. */
export function designProof(materialId: string): Told {
  const { bench } = useBenchStore.getState()
  if (bench === null) return NO_BENCH
  const { result } = engineOf(bench).value(toneSetting, materialId)
  if (!result.known) return told('The setting is not known yet: read a first card.')
  const { power, speed } = result.value
  const ends = { acrossFrom: power, acrossTo: power, upFrom: speed, upTo: speed }
  return designCard({
    ...bench.burns.card,
    does: 'scan',
    across: 'power',
    up: 'speed',
    columns: 1,
    rows: 1,
    ...ends,
    power,
    speed,
    focus: 0,
  })
}

const NOTHING_READ: CellReading = { share: null, u: null, depth: null, through: '', by: 'hand' }

const pathOf = (materialId: string, cardId: string): string => `burns.materials.${materialId}.cards.${cardId}`

/** Takes over what a picture says of a card's cells; what was entered by hand stays. @returns What stands in the way. */
export function takeTones(materialId: string, cardId: string, tones: readonly CellTone[]): Told {
  const { bench } = useBenchStore.getState()
  const card = bench?.burns.materials[materialId]?.cards[cardId]
  if (card === undefined) return told('This card is not in the book any more.')
  const read = tones.flatMap(({ id, share, u, isThrough }): [string, CellReading][] => {
    const before = card.cells[id]
    if (isThrough !== null) {
      return before?.by === 'hand' ? [] : [[id, { ...NOTHING_READ, through: isThrough ? 'yes' : 'no', by: 'picture' }]]
    }
    if (share === null || (before?.by === 'hand' && before.share !== null)) return []
    return [[id, { share: Math.min(50, share), u, depth: before?.depth ?? null, through: '', by: 'picture' }]]
  })
  const cells = { ...card.cells, ...Object.fromEntries(read) }
  return editBench('a card read from a picture', (it) => setAt(it, `${pathOf(materialId, cardId)}.cells`, cells))
}

/** What somebody says of a cell: its tone by eye or typed, or its depth. Null takes it back. */
export interface CellSaid {
  readonly tone?: { readonly value: number; readonly u: number; readonly by: 'eye' | 'hand' } | null
  /** mm. */
  readonly depth?: number | null
  /** Whether a cell that was cut fell out. */
  readonly isThrough?: boolean | null
}

/** Writes down what was seen of some cells, as one step. @returns What stands in the way. */
export function sayCells(materialId: string, cardId: string, said: Readonly<Record<string, CellSaid>>): Told {
  const { bench } = useBenchStore.getState()
  const material = bench?.burns.materials[materialId]
  const card = material?.cards[cardId]
  if (material === undefined || card === undefined) return told('This card is not in the book any more.')
  const bare = luminanceOf(bareToneOf(material))
  const cells = { ...card.cells }
  for (const [id, { tone, depth, isThrough }] of Object.entries(said)) {
    const base = cells[id] ?? NOTHING_READ
    const toned: CellReading =
      tone === undefined
        ? base
        : tone === null
          ? { ...base, share: null, u: null }
          : { ...base, share: luminanceOf(tone.value) / bare, u: tone.u, by: tone.by }
    const measured = depth === undefined ? toned : { ...toned, depth }
    const next: CellReading =
      isThrough === undefined
        ? measured
        : { ...measured, through: isThrough === null ? '' : isThrough ? 'yes' : 'no', by: 'hand' }
    if (next.share === null && next.depth === null && next.through === '') delete cells[id]
    else cells[id] = next
  }
  return editBench('cells of a card', (it) => setAt(it, `${pathOf(materialId, cardId)}.cells`, cells))
}

/** Throws a card away; undo brings it back. */
export function dropCard(materialId: string, cardId: string): Told {
  return editBench('a card thrown away', (it) => setAt(it, pathOf(materialId, cardId), undefined))
}

/** The card that is looked at: the one chosen, else the newest; null where there is none. */
export function cardShown(bench: Bench, materialId: string, chosen: string | null): string | null {
  const cards = bench.burns.materials[materialId]?.cards ?? {}
  if (chosen !== null && cards[chosen] !== undefined) return chosen
  return Object.entries(cards).sort(([, p], [, q]) => q.order - p.order)[0]?.[0] ?? null
}

export { newCardCode }
