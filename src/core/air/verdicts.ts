import { verdictOf } from '../bench'
import { INWARD } from './box'
import { carryRoom, fastest, noise, quietRoom, rushRoom, slowest, throughFan } from './ductFigures'
import {
  below,
  clearRoom,
  clears,
  inward,
  inwardRoom,
  mouthNeeds,
  mouthRoom,
  roomBelow,
  roomRoom,
  type AirView,
} from './flowFigures'
import { burnsInRoom, flaps, goesOut, grilles, metalNear, smokeTrial } from './layFigures'
import { fanAgrees, fanRead } from './readFigures'

const verdict = verdictOf<AirView>()
const BOX = { stage: 'air', part: 'box' } as const
const DUCT = { stage: 'air', part: 'duct' } as const

const OPENING_WORDS: Readonly<Record<string, string>> = {
  gaps: 'at every gap of the box',
  inlet: 'at the inlet',
  foot: 'under the foot of the hood',
  holes: 'through the holes of the table',
  mouth: 'into the mouth',
}
const OPENING_PATHS: Readonly<Record<string, string>> = {
  gaps: 'air.box.gaps',
  inlet: 'air.box.inlet',
  foot: 'air.box.hoodGap',
  holes: 'air.box.covered',
  mouth: 'air.box.mouth',
}

export const drawsIn = verdict({
  id: 'air.drawsIn',
  ...BOX,
  margin: inwardRoom,
  goodFrom: 0,
  // From what is wanted down to the least that is asked for, mm/s.
  stopBelow: 1000 * (INWARD.least - INWARD.wanted),
  hazard: true,
  say: ({ mark, args: [id], margin, figure }) => {
    const where = OPENING_WORDS[id] ?? id
    const next = { words: 'See what would help most', part: 'air/duct' }
    if (mark === 'unknown')
      return {
        head: `Is air drawn in ${where}?`,
        why: 'Not known yet: what is open there, the duct, or the fan.',
        next: { words: 'Say what is open there', path: OPENING_PATHS[id] ?? 'air.box.gaps' },
      }
    const speed = figure(inward, id)
    if (mark === 'good')
      return { head: `Air is drawn in ${where}`, why: `The air goes ${speed}; from 0.4 m/s on it keeps smoke in.` }
    if (mark === 'stop' && margin < -1000) return { head: `Smoke comes out ${where}`, why: `The air goes ${speed} there.`, next }
    return {
      head: `Air comes in too slowly ${where}`,
      why: `The air goes ${speed}; under 0.4 m/s a draught carries smoke out. Close what is open, or let more through the duct.`,
      next,
    }
  },
})

export const isHeldBelow = verdict({
  id: 'air.heldBelow',
  ...BOX,
  margin: below,
  when: ({ air }) => Object.keys(air.ways).length > 0 && air.box.caught.chosen !== null,
  goodFrom: 0,
  stopBelow: 0,
  hazard: true,
  say: ({ mark, figure }) => {
    const next = { words: 'Look at the ways of the air', part: 'air/duct' }
    if (mark === 'unknown') return { head: 'Is it held below the room?', why: 'Not known yet.', next }
    return mark === 'good'
      ? { head: 'It is held below the room', why: `It stands ${figure(below)}: what leaks, leaks in.` }
      : {
          head: 'It is not held below the room',
          why: `It stands ${figure(below)}: smoke leaves by every gap. Slow the fan that blows in, or let more out.`,
          next,
        }
  },
})

export const mouthDraws = verdict({
  id: 'air.mouthDraws',
  ...BOX,
  margin: mouthRoom,
  goodFrom: 0,
  stopBelow: 0,
  hazard: true,
  say: ({ mark, figure }) => {
    const next = { words: 'Bring the mouth nearer', path: 'air.box.mouthAway' }
    if (mark === 'unknown') return { head: 'Does the mouth draw from the spot?', why: 'Not known yet.', next }
    const why = `It needs ${figure(mouthNeeds)}; ${figure(mouthRoom)}.`
    return mark === 'good'
      ? { head: 'The mouth draws from the spot', why }
      : {
          head: 'The mouth does not reach the spot',
          why: `${why} Bring it nearer, give it a rim, or close the machine in.`,
          next,
        }
  },
})

export const clearsSoon = verdict({
  id: 'air.clearsSoon',
  ...BOX,
  margin: clearRoom,
  goodFrom: 0,
  stopBelow: -Infinity,
  short: 'look',
  say: ({ mark, figure }) => {
    const next = { words: 'Say how large it is inside', path: 'air.box.volume' }
    if (mark === 'unknown') return { head: 'How soon is it clear?', why: 'Not known yet: its room, or the flow.', next }
    const why = `Down to a hundredth of the smoke after ${figure(clears)}.`
    return mark === 'good'
      ? { head: 'It is clear soon enough', why: `${why} Wait that long before you open it.` }
      : {
          head: 'It takes long to clear',
          why: `${why} Let the fan run on, and wait that long.`,
          next: { words: 'Say how long you wait', path: 'air.wanted.clearIn' },
        }
  },
})

export const carries = verdict({
  id: 'air.carries',
  ...DUCT,
  margin: carryRoom,
  goodFrom: 0,
  stopBelow: -Infinity,
  short: 'look',
  say: ({ mark, args: [way], figure }) => {
    const next = { words: 'See what would help most', part: 'air/duct' }
    if (mark === 'unknown') return { head: 'Does the duct carry the smoke away?', why: 'Not known yet.', next }
    const why = `At its slowest ${figure(slowest, way)}; from 5 m/s on little settles.`
    return mark === 'good'
      ? { head: 'The duct carries the smoke away', why }
      : { head: 'Smoke settles in the duct', why: `${why} Look into it twice as often, or let more through.`, next }
  },
})

export const rushes = verdict({
  id: 'air.rushes',
  ...DUCT,
  margin: rushRoom,
  goodFrom: 0,
  stopBelow: -Infinity,
  short: 'look',
  follows: 'air.carries',
  say: ({ mark, args: [way], figure }) => {
    const next = { words: 'Take wider duct', part: 'air/duct' }
    if (mark === 'unknown') return { head: 'Is the duct wide enough?', why: 'Not known yet.', next }
    const why = `At its fastest ${figure(fastest, way)}.`
    return mark === 'good'
      ? { head: 'The duct is wide enough', why }
      : { head: 'The duct is narrow for its flow', why: `${why} Above 10 m/s it whistles and eats the fan’s pressure.`, next }
  },
})

export const blowsForward = verdict({
  id: 'air.blowsForward',
  ...DUCT,
  margin: throughFan,
  goodFrom: 1e-6,
  stopBelow: -1e-6,
  hazard: true,
  say: ({ mark, args: [way], figure, word }) => {
    const name = word(`air.ways.${way}.name`)
    const next = { words: 'Look at this way', part: 'air/duct', thing: `air.ways.${way}` }
    if (mark === 'unknown') return { head: `Does the fan of “${name}” blow forwards?`, why: 'Not known yet.', next }
    return mark === 'good'
      ? { head: `The fan of “${name}” blows forwards`, why: `The air goes ${figure(throughFan, way)}.` }
      : {
          head: `Air comes back through the fan of “${name}”`,
          why: `The air goes ${figure(throughFan, way)}: another fan is stronger, or nothing can come in. Fit a flap, shut its gate, or open the inlet.`,
          next,
        }
  },
})

export const letsGo = verdict({
  id: 'air.letsGo',
  ...DUCT,
  margin: goesOut,
  goodFrom: 1,
  stopBelow: 0,
  say: ({ mark }) => {
    const next = { words: 'Say where the duct ends', part: 'air/duct' }
    if (mark === 'unknown') return { head: 'Where is the smoke let go?', why: 'Not known yet: no way leads outdoors.', next }
    if (mark === 'good')
      return {
        head: 'The smoke is let go outdoors',
        why: 'Away from windows, doors and other people’s air, as the local code asks.',
      }
    return mark === 'look'
      ? {
          head: 'The smoke comes back through carbon',
          why: 'Carbon lets carbon monoxide and nitrogen oxides through, and is used up without a sign. Weigh it, change it by hours, and air the room.',
          next,
        }
      : { head: 'The smoke is let go into the room', why: 'A fan without carbon only spreads it. Lead it outdoors.', next }
  },
})

export const metalByWork = verdict({
  id: 'air.metalByWork',
  ...DUCT,
  margin: metalNear,
  goodFrom: 1,
  stopBelow: -1,
  say: ({ mark }) => {
    const next = { words: 'Say what the first duct is of', part: 'air/duct' }
    if (mark === 'unknown')
      return { head: 'Is the duct metal by the work?', why: 'Not known yet: no way begins where the smoke is caught.', next }
    return mark === 'good'
      ? { head: 'The duct is metal by the work', why: 'A spark that is drawn in finds nothing to burn but dust: keep it clean.' }
      : {
          head: 'The first duct is plastic',
          why: 'Sparks are drawn in, and plastic hose burns. Take a metre of metal pipe or aluminium hose there.',
          next,
        }
  },
})

export const keepsColdOut = verdict({
  id: 'air.keepsColdOut',
  ...DUCT,
  margin: flaps,
  goodFrom: 1,
  stopBelow: -1,
  say: ({ mark }) => {
    const next = { words: 'Put a flap into the way', part: 'air/duct' }
    if (mark === 'unknown') return { head: 'Does a flap keep cold air out?', why: 'Not known yet.', next }
    return mark === 'good'
      ? { head: 'A flap keeps cold air out', why: 'With the fan off, see that it falls shut.' }
      : {
          head: 'Nothing keeps cold air out',
          why: 'With the fan off, cold and damp come back through the duct onto rails and lens. Fit a flap.',
          next,
        }
  },
})

export const keepsPiecesIn = verdict({
  id: 'air.keepsPiecesIn',
  ...DUCT,
  margin: grilles,
  goodFrom: 1,
  stopBelow: -1,
  say: ({ mark }) => {
    const next = { words: 'Put a grille into the way', part: 'air/duct' }
    if (mark === 'unknown') return { head: 'Does a grille keep light pieces in?', why: 'Not known yet.', next }
    return mark === 'good'
      ? { head: 'A grille keeps light pieces from the fan', why: 'Clean it as often as the tray.' }
      : {
          head: 'Light pieces can reach the fan',
          why: 'Paper and thin offcuts are drawn in, and may glow. Fit a grille where the duct begins.',
          next,
        }
  },
})

export const starvesNothing = verdict({
  id: 'air.starvesNothing',
  ...BOX,
  margin: burnsInRoom,
  goodFrom: 1,
  stopBelow: 0,
  hazard: true,
  say: ({ mark }) => {
    const next = { words: 'Say what burns in the room', path: 'air.room.appliance' }
    if (mark === 'unknown')
      return { head: 'Does anything burn in the room?', why: 'Not known yet: a stove, boiler, heater or geyser.', next }
    return mark === 'good'
      ? {
          head: 'Nothing in the room is starved of air',
          why: 'As it was said. A carbon monoxide alarm belongs into every room with a flame.',
        }
      : {
          head: 'A fan may draw flue gas into the room',
          why: 'Do not run it with the appliance in use until a professional has tried both together.',
          next,
        }
  },
})

export const roomGives = verdict({
  id: 'air.roomGives',
  ...BOX,
  margin: roomRoom,
  when: ({ air }) => Object.keys(air.ways).length > 0 && air.box.caught.chosen !== null,
  goodFrom: 0,
  stopBelow: -Infinity,
  short: 'look',
  say: ({ mark, figure }) => {
    const next = { words: 'Say how much is open for air to come in', path: 'air.room.supply' }
    if (mark === 'unknown') return { head: 'Does the room get its air back?', why: 'Not known yet.', next }
    const why = `It stands ${figure(roomBelow)}.`
    return mark === 'good'
      ? { head: 'The room gets its air back', why }
      : {
          head: 'The room gets too little air back',
          why: `${why} Open a window a little, or make an opening: what does not come in does not go out.`,
          next,
        }
  },
})

export const isQuiet = verdict({
  id: 'air.quiet',
  ...DUCT,
  margin: quietRoom,
  goodFrom: 0,
  stopBelow: -Infinity,
  short: 'look',
  say: ({ mark, args: [way], figure }) => {
    const next = { words: 'Read its noise from the sheet', part: 'air/duct' }
    if (mark === 'unknown') return { head: 'How loud is it?', why: 'Not known yet.', next }
    const why = `All fans together make ${figure(noise, way)} at 1 m.`
    return mark === 'good'
      ? { head: 'The fan does not hurt the ears', why }
      : {
          head: 'The fan is loud',
          why: `${why} Over a day that asks for ear protection. Run a larger one slower, or put it outside.`,
          next,
        }
  },
})

export const trialHeld = verdict({
  id: 'air.trialHeld',
  stage: 'air',
  part: 'measure',
  margin: smokeTrial,
  when: ({ air }) => air.smoke.chosen !== null,
  goodFrom: 1,
  stopBelow: 0,
  hazard: true,
  say: ({ mark }) => {
    const next = { words: 'Try it again', path: 'air.smoke' }
    if (mark === 'good')
      return { head: 'Smoke was drawn in at every gap', why: 'As it was seen. Try again when seals or filters are changed.' }
    return mark === 'look'
      ? { head: 'Smoke lingered at a gap', why: 'Seal that gap, or draw more through.', next }
      : {
          head: 'Smoke came out',
          why: 'What the sums say counts for nothing where smoke is seen to come out. Seal it, and try again.',
          next,
        }
  },
})

export const fanHolds = verdict({
  id: 'air.fanHolds',
  stage: 'air',
  part: 'measure',
  margin: fanAgrees,
  goodFrom: -0.15,
  stopBelow: -Infinity,
  short: 'look',
  say: ({ mark, figure }) => {
    const next = { words: 'Read at more settings', part: 'air/measure' }
    if (mark === 'unknown') return { head: 'Does the fan do what its label says?', why: 'Not known yet.', next }
    const why = `It gives ${figure(fanRead)} there; against the label ${figure(fanAgrees)}.`
    return mark === 'good'
      ? { head: 'The fan does what its label says', why }
      : {
          head: 'The fan gives less than its label says',
          why: `${why} A clogged filter, a duct that has sagged, or a label that was optimistic: enter what it gives.`,
          next: { words: 'Enter what the fan gives', part: 'air/duct' },
        }
  },
})
