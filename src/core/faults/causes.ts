/** What can be wrong with a machine that burns. */
export const CAUSES = [
  'play',
  'belt',
  'pulley',
  'steps',
  'square',
  'delay',
  'power',
  'focus',
  'dirt',
  'supply',
  'corners',
  'holder',
  'warp',
  'air',
] as const
export type Cause = (typeof CAUSES)[number]

/** None of them. */
export type Culprit = Cause | 'none'
export const CULPRITS: readonly Culprit[] = ['none', ...CAUSES]

/** What each is called, and what mends it and proves it. */
export interface CauseWords {
  readonly name: string
  /** How it comes about, in a sentence. */
  readonly why: string
  /** What is done about it. */
  readonly mend: string
  /** Where: the part of a stage. */
  readonly at: string
  /** What shows afterwards that it is gone. */
  readonly proof: string
  readonly proofAt: string
}

export const CAUSE_WORDS: Readonly<Record<Cause, CauseWords>> = {
  play: {
    name: 'Play in an axis',
    why: 'An axis that turns back moves nothing at first.',
    mend: 'Snug wheels and idlers, pluck the belt, look at the nut of a screw.',
    at: 'motion/wheels',
    proof: 'Burn closure outlines: their ends meet their starts.',
    proofAt: 'controller/closure',
  },
  belt: {
    name: 'A slack belt',
    why: 'It gives at every change of speed and swings after corners.',
    mend: 'Pluck it and tighten it by its tone.',
    at: 'motion/belts',
    proof: 'Pluck again, then burn closure outlines.',
    proofAt: 'controller/closure',
  },
  pulley: {
    name: 'A pulley that slips on its shaft',
    why: 'Its set screw is loose: every reversal leaves a little behind.',
    mend: 'Mark shaft and pulley with a pen; turn the screw onto the flat of the shaft.',
    at: 'motion/drive',
    proof: 'The pen’s marks stay together; outlines stay in one place.',
    proofAt: 'controller/closure',
  },
  steps: {
    name: 'Lost steps',
    why: 'A motor is asked for more than it holds, and falls behind by whole cycles.',
    mend: 'Lower the acceleration or the speed, or look at the current of its driver.',
    at: 'motion/drive',
    proof: 'Burn the moves: none is lost up to the limit.',
    proofAt: 'controller/limits',
  },
  square: {
    name: 'Axes that are not square',
    why: 'The gantry hangs behind on one side.',
    mend: 'Square it by its diagonals.',
    at: 'motion/square',
    proof: 'Burn a run with diagonals.',
    proofAt: 'controller/run',
  },
  delay: {
    name: 'Light that comes late',
    why: 'The head is on its way before the light is there, and still is when it goes.',
    mend: 'Measure the delay and let the output card wait.',
    at: 'controller/delay',
    proof: 'Burn lines there and back at two speeds: they meet.',
    proofAt: 'controller/delay',
  },
  power: {
    name: 'Less light than there was',
    why: 'A diode ages, or its driver is set lower than it was.',
    mend: 'Read the light by a meter, and look at the driver’s setting.',
    at: 'beam/light',
    proof: 'The light is as labelled, and a test strip as dark as before.',
    proofAt: 'burns/tone',
  },
  focus: {
    name: 'Out of focus',
    why: 'Head or sheet stands higher or lower than it was set.',
    mend: 'Set the gap by the gauge, or burn a ramp.',
    at: 'beam/focus',
    proof: 'Lines are as thin as the spot.',
    proofAt: 'controller/focus',
  },
  dirt: {
    name: 'A dirty lens',
    why: 'Soot on it takes light away and throws the rest about.',
    mend: 'Clean it cold, with what its sheet names.',
    at: 'beam/light',
    proof: 'The light is as it was before.',
    proofAt: 'beam/light',
  },
  supply: {
    name: 'A supply that sags',
    why: 'When motors and fan start, the diode gets less.',
    mend: 'Read the rail under load; thicker wire, or a supply of its own.',
    at: 'power/wiring',
    proof: 'The rail stays where it is while everything runs.',
    proofAt: 'power/bringUp',
  },
  corners: {
    name: 'Power that does not follow the speed',
    why: 'In corners and at ends the head is slow and the beam as strong as ever.',
    mend: 'Choose words for the beam that follow the speed, or a run-out beyond the ends.',
    at: 'controller/settings',
    proof: 'Burn an outline: its corners are no darker than its sides.',
    proofAt: 'burns/tone',
  },
  holder: {
    name: 'The object slips in its holder',
    why: 'It turns less than the rollers or the chuck do.',
    mend: 'Roughen the rollers, press it on, or slow the turn.',
    at: 'rotary/holding',
    proof: 'One turn comes back to its mark.',
    proofAt: 'rotary/run',
  },
  warp: {
    name: 'A warped sheet, or a bed that slants',
    why: 'Part of the work lies out of focus.',
    mend: 'Hold it down, or level the bed.',
    at: 'beam/bed',
    proof: 'Lines are alike at all corners.',
    proofAt: 'beam/bed',
  },
  air: {
    name: 'Weak air at the cut',
    why: 'Smoke and flame stay and brown what lies beside the line.',
    mend: 'Clear the nozzle and hose, look at pump and exhaust.',
    at: 'air/duct',
    proof: 'A line without a brown rim.',
    proofAt: 'burns/cut',
  },
}
