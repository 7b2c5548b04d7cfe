import { verdictOf } from '../bench'
import { rackingShift } from './correctionFigures'
import { tension, tensionAlike, tensionMargin, torqueReserve, wantedTone, windingSpeed } from './driveFigures'
import { bedLeftOver, bedRange, levelMargin } from './bedFigures'
import {
  crossedAlike,
  crossedMargin,
  crossedSlack,
  crossedSlant,
  crossedSlantMargin,
  crossedWired,
  layersMargin,
  LEAST_SLANT,
} from './crossedFigures'
import { adviceBy, cableMargin, cableNeeded, driversLeft, driversNeeded, wheelsMargin } from './roundFigures'
import { cornerFocusError, focusMargin, halfField } from './mirrorFigures'
import { racking, rackingMargin } from './rackingFigures'
import { isPulled } from './subjects'
import type { MotionBench } from './slice'

const verdict = verdictOf<MotionBench>()

/** A belt pulls an axis. */
function hasBelt({ motion }: MotionBench, axisId: string): boolean {
  const drive = motion.axes[axisId]?.drive.chosen
  return motion.kinematics.chosen !== 'mirrors' && (drive === 'belt' || drive === 'reducedBelt')
}

/** Both belts of an axis were heard. */
function hasTwoTones(bench: MotionBench, axisId: string): boolean {
  if (!hasBelt(bench, axisId)) return false
  const { motion } = bench
  const axis = motion.axes[axisId]
  return (
    motion.kinematics.chosen !== 'crossed' && axis?.motors.value === 2 && axis.toneA.value !== null && axis.toneB.value !== null
  )
}

/** Half of the torque to spare is good, none loses steps (common practice). */
export const torqueEnough = verdict({
  id: 'motion.torqueEnough',
  stage: 'motion',
  margin: torqueReserve,
  when: isPulled,
  goodFrom: 0.5,
  stopBelow: 0,
  say: ({ mark, args, figure, fact, word }) => {
    const [axis] = args
    const letter = word(`motion.axes.${axis}.letter`)
    const reserve = figure(torqueReserve, axis)
    const wanted = fact('motion.wantedSpeed')
    const full = figure(windingSpeed, axis)
    switch (mark) {
      case 'good':
        return { head: `${letter} has torque enough`, why: `${reserve} to spare at ${wanted}, full torque up to ${full}.` }
      case 'look':
        return {
          head: `${letter} has little torque to spare`,
          why: `${reserve} to spare at ${wanted}; full torque up to ${full}. Less acceleration or mass would help.`,
          next: { words: 'Change the acceleration', path: `motion.axes.${axis}.acceleration` },
        }
      case 'stop':
        return {
          head: `${letter} will lose steps`,
          why: `${reserve} to spare at ${wanted}; full torque up to ${full}. Lower speed or acceleration, or a higher motor voltage within what the driver allows.`,
          next: { words: 'Change the acceleration', path: `motion.axes.${axis}.acceleration` },
        }
      case 'unknown':
        return {
          head: `${letter} torque enough?`,
          why: `Not known yet: ${reserve} to spare at ${wanted}.`,
          next: { words: 'Weigh what moves', path: `motion.axes.${axis}.movingMass` },
        }
    }
  },
})

export const beltTight = verdict({
  id: 'motion.beltTight',
  stage: 'motion',
  margin: tensionMargin,
  when: (bench, axis, side) => hasBelt(bench, axis) && bench.motion.axes[axis]?.[side === 'B' ? 'toneB' : 'toneA'].value !== null,
  goodFrom: 0,
  stopBelow: -Infinity,
  say: ({ mark, args, figure, fact, word, margin }) => {
    const [axis, side] = args
    const letter = word(`motion.axes.${axis}.letter`)
    const pull = figure(tension, axis, side)
    const isCrossed = word('motion.kinematics.chosen') === 'crossed'
    const own = isCrossed ? (letter === 'X' ? 'Left' : 'Right') : letter
    const which = side === 'B' ? `${letter}, second belt` : `${own} belt`
    const next = { words: 'Pluck it again', path: `motion.axes.${axis}.tone${side}` }
    if (mark === 'good') {
      return {
        head: `${which} is snug`,
        why: `${pull}, within ${fact('motion.belts.tensionFrom')} to ${fact('motion.belts.tensionTo')}.`,
      }
    }
    return {
      head: mark === 'unknown' ? `${which} in the band?` : `${which} ${margin >= 0 ? 'may be ' : ''}outside the band`,
      why: `${pull} against ${fact('motion.belts.tensionFrom')} to ${fact('motion.belts.tensionTo')}. A slack belt lets corners lag and circles flatten; a tight one bends shafts and wears bearings. Aim for a tone of ${figure(wantedTone, axis)}.`,
      next,
    }
  },
})

export const beltsAlike = verdict({
  id: 'motion.beltsAlike',
  stage: 'motion',
  margin: tensionAlike,
  when: hasTwoTones,
  goodFrom: 0,
  stopBelow: -Infinity,
  say: ({ mark, args, figure, word, margin }) => {
    const [axis] = args
    const letter = word(`motion.axes.${axis}.letter`)
    const both = `${figure(tension, axis, 'A')} and ${figure(tension, axis, 'B')}`
    if (mark === 'good') return { head: `${letter} belts pull alike`, why: `${both}.` }
    return {
      head: mark === 'unknown' ? `${letter} belts alike?` : `${letter} belts ${margin >= 0 ? 'may ' : ''}pull unlike`,
      why: `${both}. The gantry leans to the tighter side: slants show in long lines.`,
      next: { words: 'Pluck the second belt', path: `motion.axes.${axis}.toneB` },
    }
  },
})

/** Growth that is left where a belt grows by 0.05 mm, mm. */
const PARALLEL_FROM = 0.25

/** A belt that grows by up to 0.05 mm over the travel is good, by more than 0.3 mm a stop (common practice). */
export const runsParallel = verdict({
  id: 'motion.runsParallel',
  stage: 'motion',
  margin: crossedMargin,
  // A guess of where the motors stand is no reason to complain of them.
  when: ({ motion }, _belt) => motion.crossed.motorAside.origin !== 'assumed',
  goodFrom: PARALLEL_FROM,
  stopBelow: 0,
  short: 'look',
  say: ({ mark, args, figure, margin }) => {
    const belt = args[0] === 'b' ? 'right' : 'left'
    const growth = figure(crossedSlack, ...args)
    const next = { words: 'Measure how far the motors stand aside', path: 'motion.crossed.motorAside' }
    switch (mark) {
      case 'good':
        return { head: `Belt of the ${belt} motor runs parallel`, why: `It grows by ${growth} over the travel.` }
      case 'look':
        return {
          head: `Belt of the ${belt} motor ${margin >= PARALLEL_FROM ? 'may slant' : 'slants a little'}`,
          why: `It grows and shrinks by ${growth} over the travel, and its tension with it.`,
          next,
        }
      case 'stop':
        return {
          head: `Belt of the ${belt} motor slants`,
          why: `It grows and shrinks by ${growth} over the travel, so its tension changes with the place. Bring the motor in line with the wheels of the gantry.`,
          next,
        }
      case 'unknown':
        return {
          head: `Belt of the ${belt} motor parallel?`,
          why: `Not known yet: it may grow by ${growth} over the travel.`,
          next,
        }
    }
  },
})

export const fieldInFocus = verdict({
  id: 'motion.fieldInFocus',
  stage: 'motion',
  margin: focusMargin,
  when: ({ motion }) => motion.kinematics.chosen === 'mirrors',
  goodFrom: 0,
  stopBelow: -Infinity,
  say: ({ mark, figure, fact, margin }) => {
    const error = figure(cornerFocusError)
    const depth = fact('motion.mirrors.focusDepth')
    if (mark === 'good') return { head: 'The whole field is in focus', why: `${error} further in the corner, ${depth} allowed.` }
    return {
      head: mark === 'unknown' ? 'The corners in focus?' : `The corners ${margin >= 0 ? 'may be' : 'are'} out of focus`,
      why: `${error} further there, ${depth} allowed. In focus up to ${figure(halfField)} from the middle: a smaller field, a greater height, or a longer focus.`,
      next: { words: 'Change the height', path: 'motion.mirrors.height' },
    }
  },
})

export const gantrySquare = verdict({
  id: 'motion.gantrySquare',
  stage: 'motion',
  margin: rackingMargin,
  when: ({ motion: { racking, kinematics } }) =>
    kinematics.chosen !== 'mirrors' && (racking.left.value !== null || racking.right.value !== null),
  goodFrom: 0,
  stopBelow: 0,
  short: 'look',
  say: ({ mark, figure, fact }) => {
    const angle = figure(racking)
    const limit = fact('motion.squareWithin')
    const next = { words: 'Measure both ends again', path: 'motion.racking.left' }
    switch (mark) {
      case 'good':
      case 'look':
        return { head: 'The gantry stands square on its rails', why: `${angle}, within the accepted ${limit}.` }
      case 'stop':
        return {
          head: 'The gantry racks',
          why: `${angle}, beyond the accepted ${limit}. Supply off; its right end goes ${figure(rackingShift)} to the back, below 0 to the front. How, stands under Square and level.`,
          next,
        }
      case 'unknown':
        return { head: 'Gantry square on its rails?', why: `Not known yet: ${angle} straddles ${limit}.`, next }
    }
  },
})

export const bedLevel = verdict({
  id: 'motion.bedLevel',
  stage: 'motion',
  margin: levelMargin,
  when: ({ motion: { heights } }) => Object.keys(heights).length > 0,
  goodFrom: 0,
  stopBelow: 0,
  short: 'look',
  say: ({ mark, figure, fact }) => {
    const range = figure(bedRange)
    const limit = fact('motion.levelWithin')
    const left = figure(bedLeftOver)
    const next = { words: 'See what is accepted', path: 'motion.levelWithin' }
    switch (mark) {
      case 'good':
      case 'look':
        return { head: 'The bed is level enough', why: `${range} over the bed, within ${limit}.` }
      case 'stop':
        return {
          head: 'The bed is not level',
          why: `${range} over the bed, beyond ${limit}. Shims under its feet would leave ${left}.`,
          next,
        }
      case 'unknown':
        return {
          head: 'Bed level?',
          why: `Not known yet: ${range} over the bed straddles ${limit}. Shims would leave ${left}.`,
          next,
        }
    }
  },
})

function isCrossed({ motion }: MotionBench): boolean {
  return motion.kinematics.chosen === 'crossed'
}

export const crossedStepAlike = verdict({
  id: 'motion.crossedStepAlike',
  stage: 'motion',
  margin: crossedSlantMargin,
  // One belt is cut for both: how well its pitch is known does not matter where the rest is one number.
  settled: (margin, guesses) => margin > LEAST_SLANT - 1e-12 && guesses.every((it) => it.endsWith('.beltPitch')),
  goodFrom: 0,
  stopBelow: 0,
  short: 'look',
  say: ({ mark, args, figure }) => {
    const [left] = args
    const next = { words: 'Check the left motor’s microsteps', path: `motion.axes.${left}.microsteps` }
    if (mark === 'good') return { head: 'Both motors step alike', why: 'One number of steps serves both.' }
    return {
      head: mark === 'unknown' ? 'Do both motors step alike?' : 'The motors step unlike',
      why: `Where the controller takes one number for both, a line along X leans by ${figure(crossedSlant, ...args)}. Set each motor’s own steps, or fit like pulleys and switches.`,
      next,
    }
  },
})

export const crossedBeltsAlike = verdict({
  id: 'motion.crossedBeltsAlike',
  stage: 'motion',
  margin: crossedAlike,
  when: ({ motion }, left, right) => motion.axes[left]?.toneA.value != null && motion.axes[right]?.toneA.value != null,
  goodFrom: 0,
  stopBelow: -Infinity,
  say: ({ mark, args, figure, margin }) => {
    const [left, right] = args
    const both = `Left ${figure(tension, left, 'A')}, right ${figure(tension, right, 'A')}`
    if (mark === 'good') return { head: 'Both crossed belts pull alike', why: `${both}.` }
    return {
      head: mark === 'unknown' ? 'Crossed belts alike?' : `The crossed belts ${margin >= 0 ? 'may ' : ''}pull unlike`,
      why: `${both}. The gantry leans to the tighter one, and squares become rhombs.`,
      next: { words: 'Pluck the right belt', path: `motion.axes.${right}.toneA` },
    }
  },
})

export const layersClear = verdict({
  id: 'motion.layersClear',
  stage: 'motion',
  margin: layersMargin,
  when: (bench) =>
    isCrossed(bench) && bench.motion.crossed.heightLeft.value !== null && bench.motion.crossed.heightRight.value !== null,
  goodFrom: 0,
  stopBelow: 0,
  short: 'look',
  say: ({ mark, figure }) => {
    const room = figure(layersMargin)
    if (mark === 'good' || mark === 'look')
      return { head: 'The two layers of belt clear each other', why: `${room} more than the millimetre that is wanted.` }
    return {
      head: mark === 'unknown' ? 'Do the belts clear each other?' : 'The belts rub where they cross',
      why: `${room} against the millimetre that is wanted. Set the wheels of one belt higher or lower; both must stay level.`,
      next: { words: 'Measure both layers again', path: 'motion.crossed.heightLeft' },
    }
  },
})

export const wheelsSet = verdict({
  id: 'motion.wheelsSet',
  stage: 'motion',
  margin: wheelsMargin,
  when: ({ motion: { wheels, frame, kinematics } }) =>
    frame.guides.chosen === 'wheels' &&
    kinematics.chosen !== 'mirrors' &&
    kinematics.chosen !== 'retrofit' &&
    [wheels.rock, wheels.roll, wheels.turn].some((it) => it.chosen !== null),
  goodFrom: 0,
  stopBelow: 0,
  short: 'look',
  say: ({ margin }) => {
    const next = { words: 'Try again', path: 'motion.wheels.rock' }
    switch (adviceBy(margin)) {
      case null:
        return { head: 'Wheels well set?', why: 'Not known yet: do all three parts of the rolling test.', next }
      case 'leave':
        return { head: 'The wheels are well set', why: 'It neither rocks nor drags: leave the eccentrics.' }
      case 'tighten':
        return {
          head: 'A wheel has play',
          why: 'Turn the eccentrics a little tighter, both of a side alike, until a wheel turns under the finger with some effort.',
          next,
        }
      case 'loosen':
        return {
          head: 'The wheels are too tight',
          why: 'Turn the eccentrics back a little: tight wheels wear flat and lose steps.',
          next,
        }
      case 'not the eccentrics':
        return {
          head: 'The eccentrics alone do not cure it',
          why: 'It is loose and tight at once, or sticks in places: look for a bar that is bent or twisted, a worn wheel, chips in the slot, bars that are not parallel.',
          next,
        }
    }
  },
})

export const cableReaches = verdict({
  id: 'motion.cableReaches',
  stage: 'motion',
  margin: cableMargin,
  when: ({ motion }) => motion.kinematics.chosen !== 'mirrors' && motion.cables.length.value !== null,
  goodFrom: 0,
  stopBelow: 0,
  say: ({ mark, figure, fact }) => {
    const [length, needed] = [fact('motion.cables.length'), figure(cableNeeded)]
    if (mark === 'good' || mark === 'look')
      return {
        head: 'The cables reach everywhere',
        why: `${length}, and ${needed} are needed. Trim them last, when the head has been in every corner.`,
      }
    return {
      head: mark === 'unknown' ? 'Do the cables reach everywhere?' : 'The cables are too short',
      why: `${length} against ${needed} to the farthest corner. Stand the controller nearer to the middle, or take longer ones; a pulled plug under power kills a driver.`,
      next: { words: 'Say where the controller stands', path: 'motion.cables.controllerX' },
    }
  },
})

export const driversEnough = verdict({
  id: 'motion.driversEnough',
  stage: 'motion',
  margin: driversLeft,
  when: ({ motion }) => motion.boardDrivers.value !== null,
  goodFrom: 0,
  stopBelow: 0,
  short: 'look',
  say: ({ mark, figure, fact, word, keys }) => {
    const [board, needed] = [fact('motion.boardDrivers'), figure(driversNeeded)]
    if (mark === 'good') return { head: 'Every motor has its driver', why: `${board} on the controller, ${needed} needed.` }
    const two = keys('motion.axes').find((id) => word(`motion.axes.${id}.motors.value`) === '2')
    const why =
      two === undefined
        ? 'Take a controller with more, or leave an axis to be moved by hand.'
        : 'Let both motors of one axis share a driver: in parallel it must give twice the current, in series they run out of voltage sooner. Or plug another driver in.'
    const next = {
      words: two === undefined ? 'Count the drivers again' : 'Say what drives the two motors',
      path: two === undefined ? 'motion.boardDrivers' : `motion.axes.${two}.drivers`,
    }
    return {
      head: mark === 'unknown' ? 'Drivers enough?' : 'More motors than drivers',
      why: `${board} on the controller, ${needed} needed. ${why}`,
      next,
    }
  },
})

/** What the first power-up found, by its margin. */
const WIRED_WORDS: Readonly<Record<string, string>> = {
  '-1': 'It went another way than it was asked: plugs are swapped, or a motor turns the wrong way round.',
  '-2': 'It went along a diagonal, or nowhere: a motor does not move its belt.',
  '-3': 'No wiring explains where it went: a belt slips, or a motor loses its steps.',
}

/** A head that goes elsewhere runs into its stops at full pull: nothing is run before that is mended. */
export const crossedGoesRight = verdict({
  id: 'motion.crossedGoesRight',
  stage: 'motion',
  margin: crossedWired,
  goodFrom: 0,
  stopBelow: 0,
  say: ({ mark, margin }) => {
    if (mark === 'good') return { head: 'The head goes where it is asked', why: 'For +X to the right, for +Y to the back.' }
    return {
      head: mark === 'unknown' ? 'Does the head go where it is asked?' : 'The head does not go where it is asked',
      why: `${WIRED_WORDS[String(margin)] ?? 'Not known yet: ask for a short way along each axis, a hand at the switch.'}${mark === 'unknown' ? '' : ' What to swap, turn or look at stands under the machine; run nothing before.'}`,
      next: { words: 'Ask for a short way along +X, then +Y', path: 'motion.crossed.wentForX' },
    }
  },
})
