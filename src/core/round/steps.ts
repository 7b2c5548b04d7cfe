import type { AirBench } from '../air'
import type { CutBench } from '../burn'
import type { ElectricalBench } from '../electrical'
import type { HousingBench } from '../housing'
import type { OpticsBench } from '../optics'
import type { ReachBench } from '../reach'
import type { RotaryBench } from '../rotary'
import type { SafetyBench } from '../safety'
import type { RoundBench } from './slice'

/** What the round reads of a bench. */
export type RoundView = RoundBench &
  ReachBench &
  SafetyBench &
  HousingBench &
  AirBench &
  ElectricalBench &
  OpticsBench &
  RotaryBench &
  CutBench

/** One look at the machine, before a burn or after it. */
export interface RoundStep {
  readonly id: string
  readonly when: 'before' | 'after'
  readonly head: string
  readonly words: string
  /** Verdicts that it rests on: the worst of them stands beside it. */
  readonly rests: readonly string[]
  /** Where the bench says more of it, or takes what is missing. */
  readonly at: { readonly path: string } | { readonly part: string }
}

/** What the beam asks for, worked beforehand. */
export interface Asked {
  /** Optical density to watch a burn, rounded up; null while it is not known. */
  readonly density: string | null
  /** Scale number, rounded up. */
  readonly scale: string | null
}

/**
 * The round before a burn and the one after it, as this bench asks for it: what it does not have is not asked for.
 * @param bench The bench. @param asked What the beam asks of eyewear.
 */
export function roundSteps(bench: RoundView, asked: Asked): readonly RoundStep[] {
  return [
    eyewear(bench, asked),
    ...others(bench),
    path(bench),
    ...switches(bench),
    exhaust(bench),
    material(bench),
    bounds(bench),
    ...cooling(bench),
    fire(bench),
    watcher(bench),
    ...after(bench),
  ]
}

const before = (step: Omit<RoundStep, 'when'>): RoundStep => ({ ...step, when: 'before' })

function eyewear({ optics }: RoundView, { density, scale }: Asked): RoundStep {
  const at = optics.wavelength.typed
  const words =
    density === null
      ? 'How dense it must be is not known yet.'
      : `Certified for ${at} nm with an optical density of at least ${density}${scale === null ? '' : ` and LB ${scale} behind a D`}, to watch for 100 s (IEC 60825-1, EN 207), on everyone who can see the beam. No loupe, no lens.`
  return before({
    id: 'eyewear',
    head: 'Eyewear is on.',
    words,
    rests: ['safety.eyewearDense', 'safety.eyewearWithstands'],
    at: density === null ? { path: 'optics.power' } : { part: 'safety/eyewear' },
  })
}

/** Who could come within the reach. */
function others({ round, reach }: RoundView): readonly RoundStep[] {
  const bare = Object.values(reach.places).filter((it) => it.wears.chosen !== 'yes')
  const names = bare.map((it) => it.name).join(', ')
  const where = names === '' ? '' : ` Nobody is at: ${names}.`
  const who: Readonly<Record<string, string>> = {
    none: 'Nobody else is in the room, and nobody comes in: door shut, a sign or a lamp outside.',
    worn: 'Whoever is in the room wears eyewear like yours.',
  }
  const head = 'Nobody else is within its reach.'
  const words = `${who[round.room.chosen ?? ''] ?? 'Whoever comes in is stopped at the door.'}${where}`
  return [before({ id: 'others', head, words, rests: ['round.othersKept', 'reach.placeBeyond'], at: { part: 'safety/reach' } })]
}

const COVERED: Readonly<Record<string, string>> = {
  shut: 'Lid or hood down all round, nothing caught under it.',
  open: 'There is no shut box: the guard stands round the work, and eyewear stays on.',
}

function path({ reach, housing, rotary }: RoundView): RoundStep {
  const isShut = reach.kept.chosen === 'shut'
  const baffled = Object.values(housing.ports).some((it) => Object.keys(it.baffles).length > 0)
  const parts = [
    COVERED[reach.kept.chosen ?? ''] ?? 'Box or guard closed all round the work; where there is none, eyewear stays on.',
    baffled ? 'Baffles stand in their places.' : '',
    'Nothing bright or glossy lies on the bed.',
    rotary.objects[rotary.inHand] === undefined ? '' : 'The object is held, and its handle comes round freely.',
  ]
  return before({
    id: 'path',
    head: 'The beam’s path is covered.',
    words: parts.filter((it) => it !== '').join(' '),
    rests: ['housing.noLineOut', 'safety.windowDense'],
    at: { part: isShut ? 'housing/ports' : 'safety/reach' },
  })
}

function switches({ electrical }: RoundView): readonly RoundStep[] {
  const kinds = new Set<string>(Object.values(electrical.blocks).map((it) => it.kind))
  const names = [
    ...(kinds.has('interlock') ? ['the lid’s switch'] : []),
    ...(kinds.has('stop') ? ['the stop button'] : []),
    ...(kinds.has('key') ? ['the key'] : []),
  ]
  const words =
    names.length === 0
      ? 'Whatever darkens the diode was tried, with the lowest power that can be seen: it went dark, and stayed dark until it was reset (IEC 60825-1, clause 6). A button on this page is no emergency stop.'
      : `Tried within their days, with the lowest power that can be seen: ${names.join(', ')}; dark at once, and dark until reset (IEC 60825-1, clause 6). A button on this page is no emergency stop.`
  return [
    before({
      id: 'stop',
      head: 'Its own switches darken it.',
      words,
      rests: [
        'round.switchTried',
        'electrical.chainDarkens',
        'electrical.chainDark',
        'electrical.chainOpen',
        'electrical.stopThere',
      ],
      at: { part: 'safety/round' },
    }),
  ]
}

const exhaust = ({ air }: RoundView): RoundStep =>
  before({
    id: 'air',
    head: 'The exhaust runs.',
    words:
      air.box.caught.chosen === null
        ? 'It leads outdoors, and fresh air comes in.'
        : 'Air is felt to leave outdoors and to be drawn in here; the grille is clear, the lighter part of the work held down.',
    rests: ['air.letsGo', 'air.drawsIn', 'air.carries', 'air.starvesNothing', 'air.metalByWork'],
    at: { part: 'air/box' },
  })

const material = ({ burns }: RoundView): RoundStep =>
  before({
    id: 'material',
    head: 'The material is known.',
    words: `${Object.keys(burns.materials).length === 0 ? '' : 'It is the one of the book, by its sheet and not by its looks. '}Never PVC or vinyl, ABS, polycarbonate, foams, fluoropolymers, chrome leather, treated wood, bright metal, nor anything unknown.`,
    rests: ['safety.bookBurnable'],
    at: { part: 'burns/cut' },
  })

const bounds = ({ rotary }: RoundView): RoundStep =>
  before({
    id: 'bounds',
    head: 'The bounds were walked.',
    words: `At sighting power or dark: nothing is met, no clamp, no edge${rotary.objects[rotary.inHand] === undefined ? '' : ', no chuck or handle'}. The head stands in its focus.`,
    rests: ['calibrate.sightLeavesNoMark', 'calibrate.darkAtZero', 'calibrate.inFocus'],
    at: { part: 'beam/focus' },
  })

function cooling({ electrical }: RoundView): readonly RoundStep[] {
  const cooled = Object.values(electrical.blocks).some((it) => it.kind === 'fan' || it.kind === 'cooler')
  if (!cooled) return []
  return [
    before({
      id: 'cooling',
      head: 'The diode is cooled.',
      words: 'Its fan turns, and its fins are clear of dust.',
      rests: ['electrical.diodeCool', 'electrical.staysCool', 'electrical.coldDry'],
      at: { part: 'power/cooling' },
    }),
  ]
}

const AGAINST: Readonly<Record<string, string>> = {
  co2: 'the CO₂ extinguisher',
  mist: 'the water mist extinguisher',
  blanket: 'the fire blanket, though it puts out no fire in a box',
  powder: 'the powder extinguisher, though it ruins what it meets',
}

function fire({ round }: RoundView): RoundStep {
  const at = AGAINST[round.extinguisher.chosen ?? '']
  return before({
    id: 'fire',
    head: 'Fire can be fought.',
    words: `Crumb tray empty, nothing that burns near it, and at hand ${at ?? 'a CO₂ or water mist extinguisher'}. The air that helps the cut fans embers too.`,
    rests: ['round.fireCanBeFought'],
    at: { path: 'round.extinguisher' },
  })
}

const minutes = (seconds: number | null): number => Math.round((seconds ?? 1800) / 60)

const watcher = ({ round }: RoundView): RoundStep =>
  before({
    id: 'watch',
    head: 'Somebody watches.',
    words: `I stay while it burns and ${minutes(round.watch.value)} min after (hot-work practice asks for 30; NFPA 51B for 60). Never out of the room with the beam on.`,
    rests: [],
    at: { path: 'round.watch' },
  })

function after({ round, air, electrical }: RoundView): readonly RoundStep[] {
  const step = (id: string, head: string, words: string, at: RoundStep['at']): RoundStep => ({
    id,
    when: 'after',
    head,
    words,
    rests: [],
    at,
  })
  const hasKey = Object.values(electrical.blocks).some((it) => it.kind === 'key')
  return [
    step('dark', 'The beam is off.', `Power of the diode off${hasKey ? ', key drawn' : ''}, before the lid is opened.`, {
      part: 'safety/round',
    }),
    ...(air.box.caught.chosen === null
      ? []
      : [
          step('clear', 'The smoke is gone.', 'The exhaust runs on until the box is clear, as Air works it out.', {
            part: 'air/box',
          }),
        ]),
    step(
      'embers',
      `Watched for ${minutes(round.watch.value)} min.`,
      'Look into the cut, under it and into the crumb tray, and smell: what smoulders starts again.',
      { path: 'round.watch' },
    ),
    step('tray', 'Crumb tray emptied.', 'Into metal, outdoors, wetted; not into the paper bin.', { part: 'safety/round' }),
    step('key', 'Nobody else can switch it on.', hasKey ? 'The key is taken along.' : 'Plug drawn.', { part: 'safety/round' }),
  ]
}
