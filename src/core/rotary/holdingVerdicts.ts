import { verdictOf, type Mark } from '../bench'
import { holdingRoom, type Reason } from './holdingFigures'
import type { RotaryView } from './objectFigures'

const verdict = verdictOf<RotaryView>()

type Said = Readonly<Record<Exclude<Mark, 'unknown'>, string>> & {
  /** What it is about, as a question, while it is not known. */
  readonly asks: string
  readonly why: string
  readonly words: string
  /** Where it is mended; `{id}` stands for the object. */
  readonly path: string
}

const OBJECT = 'rotary.objects.{id}'
const HOLDER = 'rotary.holder'
const CAUTION =
  'Tighten jaws by hand only, with cardboard or rubber between, and wear eye protection: it may break as it is clamped, and later, warm.'

/** What each reason says, by how it came out. */
const SAID: Readonly<Record<Reason, Said>> = {
  carries: {
    good: 'The rotary carries it',
    look: 'It is nearly as heavy as the rotary carries',
    stop: 'It is heavier than the rotary carries',
    asks: 'Does the rotary carry it?',
    why: 'Its mass against what the rotary is made for.',
    words: 'Weigh it',
    path: `${OBJECT}.mass`,
  },
  pressed: {
    good: 'It is heavy enough to lie still on rollers',
    look: 'It is light for rollers',
    stop: 'It is too light for rollers',
    asks: 'Is it heavy enough for rollers?',
    why: 'Below a quarter of a kilogram things hop and slip on rollers; a hand’s weight in a hollow one helps.',
    words: 'Weigh it',
    path: `${OBJECT}.mass`,
  },
  lies: {
    good: 'It lies well between the rollers',
    look: 'It lies badly between the rollers',
    stop: 'It does not lie on these rollers',
    asks: 'Does it lie on the rollers?',
    why: 'It must be wide enough not to sink between them, and straight along half of them.',
    words: 'Set the rollers nearer, or further apart',
    path: `${HOLDER}.rollerGap`,
  },
  taper: {
    good: 'It is straight enough to stay on rollers',
    look: 'It tapers: on rollers it drifts',
    stop: 'It tapers so much that it runs off rollers',
    asks: 'Is it straight enough for rollers?',
    why: 'A tapered thing runs along its rollers as it turns, and its ends want different steps.',
    words: 'Hold it in a chuck or between centres',
    path: 'rotary.holding',
  },
  handle: {
    good: 'No handle is in the way',
    look: 'Its handle comes close to what holds it',
    stop: 'Its handle runs into what holds it',
    asks: 'Does its handle stay clear?',
    why: 'A handle must not come round to a roller, and keeps a thing from lying flat.',
    words: 'Hold it in a chuck or between centres',
    path: 'rotary.holding',
  },
  drift: {
    good: 'A stop keeps it from drifting',
    look: 'Nothing keeps it from drifting along the rollers',
    stop: 'It drifts off the rollers',
    asks: 'Does something keep it from drifting?',
    why: 'Rollers are never quite parallel: put a stop at the end towards which it runs.',
    words: 'Say whether there is a stop',
    path: `${HOLDER}.againstDrift`,
  },
  jaws: {
    good: 'The jaws reach it',
    look: 'It is at the end of what the jaws reach',
    stop: 'The jaws do not reach it',
    asks: 'Do the jaws reach it?',
    why: 'Its driven end from outside, or its bore from inside.',
    words: 'Measure what the jaws hold',
    path: `${HOLDER}.jawMost`,
  },
  overhang: {
    good: 'It does not hang far out of the jaws',
    look: 'It hangs far out of the jaws',
    stop: 'It hangs too far out of the jaws',
    asks: 'How far does it hang out of the jaws?',
    why: 'Beyond five times what the jaws hold of it the far end sags and swings; hold that with a live centre.',
    words: 'Measure what the jaws hold',
    path: `${HOLDER}.jawLength`,
  },
  brittle: {
    good: 'Jaws may hold it',
    look: 'It does not like steel jaws',
    stop: 'It may not be clamped',
    asks: 'May jaws hold it?',
    why: CAUTION,
    words: 'Hold it between centres, on soft discs',
    path: 'rotary.holding',
  },
  between: {
    good: 'It goes in between the centres',
    look: 'It just goes in between the centres',
    stop: 'It is longer than the centres go apart',
    asks: 'Does it go in between the centres?',
    why: 'Its length against the longest that goes in.',
    words: 'Measure between the centres',
    path: `${HOLDER}.centresMost`,
  },
  seat: {
    good: 'A disc in its bore holds it',
    look: 'It has no bore to sit on',
    stop: 'Nothing holds it',
    asks: 'What does it sit on?',
    why: 'A hollow thing sits on a disc that fits its bore; a solid one is held by friction, or in a cup.',
    words: 'Say whether it is hollow',
    path: `${OBJECT}.hollow`,
  },
  flat: {
    good: 'Lying still it stays in focus',
    look: 'Lying still it is nearly out of focus at its sides',
    stop: 'Lying still it leaves focus at its sides',
    asks: 'Does it stay in focus lying still?',
    why: 'On a plate it is not turned about its own axis: its sides fall away from the focus.',
    words: 'Make the work narrower',
    path: `${OBJECT}.workAround`,
  },
}

export const holdsIt = verdict({
  id: 'rotary.holdsIt',
  stage: 'rotary',
  part: 'holding',
  margin: holdingRoom,
  when: ({ rotary }, _id, holding, _reason) => rotary.holding.chosen === holding,
  goodFrom: 1,
  stopBelow: 0,
  say: ({ mark, args: [id, , reason] }) => {
    const said = SAID[reason as Reason]
    const next = { words: said.words, path: said.path.replace('{id}', id) }
    if (mark === 'unknown') return { head: said.asks, why: `Not known yet. ${said.why}`, next }
    return mark === 'good' ? { head: said.good, why: said.why } : { head: said[mark], why: said.why, next }
  },
})
