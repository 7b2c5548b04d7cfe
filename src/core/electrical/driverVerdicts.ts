import { verdictOf } from '../bench'
import {
  diodeAmps,
  diodeRoom,
  driverHeat,
  gateRoom,
  headroom,
  junction,
  junctionRoom,
  levelRoom,
  linearMost,
  makesGrey,
  optoCurrent,
  optoRoom,
  pullRoom,
  restLight,
  restRoom,
  senseError,
  senseHeat,
  senseRoom,
  senseTrueRoom,
  startDark,
} from './driverFigures'
import type { ElectricalBench } from './slice'

const verdict = verdictOf<ElectricalBench>()
const at = (key: string): string => `electrical.driver.${key}`
const isBegun = ({ electrical }: ElectricalBench): boolean => Object.keys(electrical.blocks).length > 0
const isKind =
  (...kinds: readonly string[]) =>
  ({ electrical }: ElectricalBench): boolean =>
    kinds.includes(electrical.driver.kind.chosen ?? '')
const hasDiode = ({ electrical }: ElectricalBench): boolean => electrical.driver.mostAmps.value !== null
const IN_DRIVER = { stage: 'power', part: 'driver' } as const

export const signalDrives = verdict({
  id: 'electrical.signalDrives',
  ...IN_DRIVER,
  margin: levelRoom,
  when: (bench) => isBegun(bench) && bench.electrical.driver.wants.chosen !== 'opto',
  goodFrom: 0,
  stopBelow: 0,
  say: ({ mark, figure }) => {
    const room = figure(levelRoom)
    if (mark === 'good' || mark === 'look') return { head: 'The signal drives the input', why: `By ${room} at the nearer level.` }
    return {
      head: mark === 'unknown' ? 'Does the signal drive the input?' : 'The signal does not drive the input for certain',
      why: `${room} at the nearer level: a high that is read as high today may not be when it is warm. A level shifter, or an input with TTL levels.`,
      next: { words: 'See what the input wants', path: at('wants') },
    }
  },
})

export const optoLit = verdict({
  id: 'electrical.optoLit',
  ...IN_DRIVER,
  margin: optoRoom,
  when: (bench) => isBegun(bench) && bench.electrical.driver.wants.chosen === 'opto',
  goodFrom: 0,
  stopBelow: 0,
  say: ({ mark, figure, fact }) => {
    const amps = `${figure(optoCurrent)} of ${fact(at('optoAmps'))}`
    if (mark === 'good' || mark === 'look') return { head: 'The opto-coupler is lit', why: `${amps} that it needs.` }
    return {
      head: mark === 'unknown' ? 'Is the opto-coupler lit?' : 'The opto-coupler gets too little',
      why: `${amps} that it needs. A smaller resistor before it, or a 5 V output.`,
      next: { words: 'See the resistor', path: at('optoOhms') },
    }
  },
})

export const relayGrey = verdict({
  id: 'electrical.relayGrey',
  ...IN_DRIVER,
  margin: makesGrey,
  when: isKind('relay'),
  goodFrom: 0,
  stopBelow: 0,
  say: ({ mark }) =>
    mark === 'good'
      ? { head: 'It can give grey', why: 'It follows the pulses.' }
      : {
          head: 'A relay gives no grey',
          why: 'It takes milliseconds to switch, and a power signal wears its contacts out within minutes. Use it for on and off only; for grey a transistor or a driver with a modulation input.',
          next: { words: 'Choose another', path: at('kind') },
        },
})

export const startsDark = verdict({
  id: 'electrical.startsDark',
  ...IN_DRIVER,
  margin: startDark,
  when: isBegun,
  goodFrom: 0,
  stopBelow: 0,
  hazard: true,
  say: ({ mark }) => {
    if (mark === 'good' || mark === 'look')
      return { head: 'Dark while the controller starts', why: 'Nothing drives the input high before the first command.' }
    return {
      head: mark === 'unknown' ? 'Dark while the controller starts?' : 'The beam may come on while the controller starts',
      why: 'Its output says nothing until its program runs. A pull-down at the input keeps the head off until then.',
      next: { words: 'See the pull-down', path: at('pullDown') },
    }
  },
})

export const pullSmall = verdict({
  id: 'electrical.pullSmall',
  ...IN_DRIVER,
  margin: pullRoom,
  when: ({ electrical }) => electrical.driver.pullDown.chosen === 'fitted' && electrical.driver.pullOhms.value !== null,
  goodFrom: 0,
  stopBelow: 0,
  short: 'look',
  say: ({ mark, fact }) =>
    mark === 'good'
      ? { head: 'The pull-down is strong enough', why: `${fact(at('pullOhms'))}, at most 100 kΩ.` }
      : {
          head: mark === 'unknown' ? 'Is the pull-down strong enough?' : 'The pull-down is weak',
          why: `${fact(at('pullOhms'))}: leaks and noise may lift the input. At most 100 kΩ is usual.`,
          next: { words: 'Change it', path: at('pullOhms') },
        },
})

export const gateEnough = verdict({
  id: 'electrical.gateEnough',
  ...IN_DRIVER,
  margin: gateRoom,
  when: isKind('transistor'),
  goodFrom: 0,
  stopBelow: 0,
  say: ({ mark, figure, fact }) => {
    if (mark === 'good' || mark === 'look')
      return { head: 'The signal turns the transistor fully on', why: `By ${figure(gateRoom)} beyond ${fact(at('onAt'))}.` }
    return {
      head: mark === 'unknown' ? 'Does the signal turn the transistor fully on?' : 'The signal turns the transistor barely on',
      why: `Its resistance is stated at a gate of ${fact(at('onAt'))}; half on it heats up and burns out. One that is stated at the signal’s voltage, or a gate driver.`,
      next: { words: 'See what its sheet states', path: at('onAt') },
    }
  },
})

export const headroomLeft = verdict({
  id: 'electrical.headroomLeft',
  ...IN_DRIVER,
  margin: headroom,
  when: isKind('linear'),
  goodFrom: 0,
  stopBelow: 0,
  short: 'look',
  say: ({ mark, figure }) => {
    if (mark === 'good') return { head: 'The source reaches its current', why: `${figure(headroom)} are left at full current.` }
    return {
      head: mark === 'unknown' ? 'Does the source reach its current?' : 'The source does not reach its current',
      why: `${figure(headroom)} at full current: its supply allows ${figure(linearMost)}. A higher supply, a smaller sense resistor, or less current.`,
      next: { words: 'See its supply', path: at('feed') },
    }
  },
})

export const transistorCool = verdict({
  id: 'electrical.transistorCool',
  ...IN_DRIVER,
  margin: junctionRoom,
  when: isKind('linear', 'transistor'),
  goodFrom: 0,
  stopBelow: 0,
  hazard: true,
  say: ({ mark, figure, fact }) => {
    const heat = `${figure(driverHeat)} heat it to ${figure(junction)}, of at most ${fact(at('hottest'))}`
    if (mark === 'good' || mark === 'look') return { head: 'The driver’s transistor stays cool enough', why: `${heat}.` }
    return {
      head: mark === 'unknown' ? 'Does the driver’s transistor stay cool enough?' : 'The driver’s transistor grows too hot',
      why: `${heat}. A larger heat sink, or a supply nearer to the diode’s voltage.`,
      next: { words: 'See its heat sink', path: at('perWatt') },
    }
  },
})

export const senseBears = verdict({
  id: 'electrical.senseBears',
  ...IN_DRIVER,
  margin: senseRoom,
  when: isKind('linear'),
  goodFrom: 0.5,
  stopBelow: 0,
  say: ({ mark, figure, fact }) => {
    const heat = `${figure(senseHeat)} in it, rated ${fact(at('senseWatts'))}`
    if (mark === 'good') return { head: 'The sense resistor stays cool', why: `${heat}.` }
    return {
      head:
        mark === 'unknown'
          ? 'Does the sense resistor stay cool?'
          : mark === 'stop'
            ? 'The sense resistor burns'
            : 'The sense resistor runs hot',
      why: `${heat}: half of the rating to spare keeps its value, and the current, steady.`,
      next: { words: 'See its rating', path: at('senseWatts') },
    }
  },
})

export const senseTrue = verdict({
  id: 'electrical.senseTrue',
  ...IN_DRIVER,
  margin: senseTrueRoom,
  when: (bench) => isKind('linear')(bench) && bench.electrical.driver.fourWire.chosen === 'no',
  goodFrom: 0,
  stopBelow: 0,
  short: 'look',
  say: ({ mark, figure }) =>
    mark === 'good'
      ? { head: 'The sense resistor is large beside its leads', why: `They take ${figure(senseError)} of the current.` }
      : {
          head:
            mark === 'unknown' ? 'Is the sense resistor large beside its leads?' : 'The sense resistor is read with its leads',
          why: `The current falls short by ${figure(senseError)}. Lead a pair of its own from its two ends to the amplifier.`,
          next: { words: 'See how it is read', path: at('fourWire') },
        },
})

export const diodeBears = verdict({
  id: 'electrical.diodeBears',
  ...IN_DRIVER,
  margin: diodeRoom,
  when: hasDiode,
  goodFrom: 0,
  stopBelow: 0,
  hazard: true,
  say: ({ mark, figure, fact }) => {
    const amps = `${figure(diodeAmps)} at full power, of ${fact(at('mostAmps'))}`
    if (mark === 'good' || mark === 'look') return { head: 'The diode bears its current', why: `${amps}.` }
    return {
      head: mark === 'unknown' ? 'Does the diode bear its current?' : 'The diode is driven beyond what it bears',
      why: `${amps}: it fails within seconds, or ages in hours. Turn the driver down before it is switched on.`,
      next: { words: 'See what it bears', path: at('mostAmps') },
    }
  },
})

export const restDark = verdict({
  id: 'electrical.restDark',
  ...IN_DRIVER,
  margin: restRoom,
  when: ({ electrical }) => electrical.driver.threshold.value !== null,
  goodFrom: 0,
  stopBelow: 0,
  hazard: true,
  say: ({ mark, figure, fact }) => {
    const amps = `${fact(at('restAmps'))} at 0 %, lasing from ${fact(at('threshold'))}`
    if (mark === 'good' || mark === 'look')
      return { head: 'Dark at 0 %', why: `${amps}. A faint glow may be left: it is no beam.` }
    return {
      head: mark === 'unknown' ? 'Dark at 0 %?' : 'The head lases at 0 %',
      why: `${amps}: ${figure(restLight)} of beam while the program says none. Wear eyewear whenever it has power; trim the driver’s zero, or switch its rail.`,
      next: { words: 'See the current at 0 %', path: at('restAmps') },
    }
  },
})
