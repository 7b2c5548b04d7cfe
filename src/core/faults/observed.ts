/** What of a burn is read, with calipers or by eye. Lengths in mm; ratios as logarithms, 0 where it is as it should be. */
export const READINGS = [
  'gap',
  'shiftSlow',
  'shiftFast',
  'slant',
  'doubleSlow',
  'doubleFast',
  'missing',
  'swing',
  'cornerDark',
  'width',
  'wedge',
  'dark',
  'uneven',
  'rim',
  'seam',
] as const
export type Reading = (typeof READINGS)[number]

/** The proof pattern that all readings are taken from. */
export interface Proof {
  /** Side of the square, mm. */
  readonly side: number
  /** The two speeds, mm/s. */
  readonly slow: number
  readonly fast: number
  /** How often the square is burnt over again. */
  readonly passes: number
  /** Steps that a motor falls behind by at once, as a way, mm: four full steps. */
  readonly cycle: number
  /** Dose of a line over the least that shows. */
  readonly over: number
  /** Whether a round object is turned too. */
  readonly turns: boolean
}

/** How each reading is taken. */
export interface HowRead {
  /** What it is called, and how it is read. */
  readonly name: string
  readonly how: string
  /** Minutes that it takes, burn counted in. */
  readonly minutes: number
  /** Standard deviation of one reading. */
  readonly noise: number
  /** The unit that it is typed in; ratios are typed as percent. */
  readonly unit: 'mm' | 'percent'
}

export const HOW_READ: Readonly<Record<Reading, HowRead>> = {
  gap: {
    name: 'Gap where an outline closes',
    how: 'From the start of the square to its end, with calipers.',
    minutes: 1,
    noise: 0.05,
    unit: 'mm',
  },
  shiftSlow: {
    name: 'Shift of the last square, slow',
    how: 'From the first square to the last one, burnt slowly over it.',
    minutes: 4,
    noise: 0.06,
    unit: 'mm',
  },
  shiftFast: {
    name: 'Shift of the last square, fast',
    how: 'The same, burnt fast.',
    minutes: 3,
    noise: 0.06,
    unit: 'mm',
  },
  slant: {
    name: 'Difference of the diagonals',
    how: 'Both diagonals of the square, with calipers; the larger less the smaller.',
    minutes: 2,
    noise: 0.1,
    unit: 'mm',
  },
  doubleSlow: {
    name: 'Lines there against lines back, slow',
    how: 'How far the ends of lines there lie from those of lines back.',
    minutes: 3,
    noise: 0.05,
    unit: 'mm',
  },
  doubleFast: {
    name: 'Lines there against lines back, fast',
    how: 'The same, burnt fast.',
    minutes: 2,
    noise: 0.05,
    unit: 'mm',
  },
  missing: {
    name: 'What is missing at the start of a line',
    how: 'From the first pencil mark to where the line begins, fast.',
    minutes: 2,
    noise: 0.06,
    unit: 'mm',
  },
  swing: {
    name: 'Swing behind a corner',
    how: 'How far the line swings out behind a corner, through a loupe, beam off.',
    minutes: 2,
    noise: 0.03,
    unit: 'mm',
  },
  cornerDark: {
    name: 'Corners against sides',
    how: 'How much deeper the line is at a corner than along a side, felt by a needle.',
    minutes: 1,
    noise: 0.12,
    unit: 'percent',
  },
  width: {
    name: 'Width of a line against what it was',
    how: 'Beside a line of the same setting that came out well.',
    minutes: 1,
    noise: 0.07,
    unit: 'percent',
  },
  wedge: {
    name: 'Widest corner of the bed against the narrowest',
    how: 'A short line at each corner of the bed; the widest less the narrowest.',
    minutes: 4,
    noise: 0.07,
    unit: 'percent',
  },
  dark: {
    name: 'Darkness of a line against what it was',
    how: 'Beside a line of the same setting that came out well: how much paler.',
    minutes: 1,
    noise: 0.1,
    unit: 'percent',
  },
  uneven: {
    name: 'Paler while everything runs',
    how: 'A line with fan and both motors running against one with none: how much paler.',
    minutes: 3,
    noise: 0.08,
    unit: 'percent',
  },
  rim: {
    name: 'Brown rim beside a line',
    how: 'From the edge of the line to where the brown ends.',
    minutes: 1,
    noise: 0.1,
    unit: 'mm',
  },
  seam: {
    name: 'Gap where a line round the object closes',
    how: 'One turn, from its start to its end.',
    minutes: 5,
    noise: 0.08,
    unit: 'mm',
  },
}

/** What a burn looks like; each is a reading that can be seen. */
export const SYMPTOMS = [
  'shifted',
  'slanted',
  'open',
  'doubled',
  'short',
  'swinging',
  'darkCorners',
  'pale',
  'wide',
  'wedged',
  'patchy',
  'scorched',
  'seamOpen',
] as const
export type Symptom = (typeof SYMPTOMS)[number]

/** A symptom, the reading that it stands for, and from where an eye sees it. */
export interface SymptomSeen {
  readonly name: string
  readonly reading: Reading
  /** From here on it is seen; for a ratio as its logarithm. */
  readonly from: number
  /** How blurred that limit is. */
  readonly blur: number
}

export const SYMPTOM_SEEN: Readonly<Record<Symptom, SymptomSeen>> = {
  shifted: { name: 'Later passes lie beside the first', reading: 'shiftFast', from: 0.3, blur: 0.08 },
  slanted: { name: 'A square leans', reading: 'slant', from: 0.5, blur: 0.15 },
  open: { name: 'Outlines do not close', reading: 'gap', from: 0.18, blur: 0.05 },
  doubled: { name: 'Lines there and back do not meet', reading: 'doubleFast', from: 0.15, blur: 0.04 },
  short: { name: 'Lines begin late, and run over their ends', reading: 'missing', from: 0.2, blur: 0.06 },
  swinging: { name: 'Lines swing behind corners', reading: 'swing', from: 0.08, blur: 0.025 },
  darkCorners: { name: 'Corners and ends are darker', reading: 'cornerDark', from: 0.35, blur: 0.1 },
  pale: { name: 'All of it is paler than it was', reading: 'dark', from: 0.2, blur: 0.06 },
  wide: { name: 'All lines are wider than they were', reading: 'width', from: 0.18, blur: 0.05 },
  wedged: { name: 'Part of the bed burns wide and pale', reading: 'wedge', from: 0.2, blur: 0.05 },
  patchy: { name: 'Depth comes and goes', reading: 'uneven', from: 0.18, blur: 0.05 },
  scorched: { name: 'Brown rims', reading: 'rim', from: 0.4, blur: 0.1 },
  seamOpen: { name: 'Round the object it does not close', reading: 'seam', from: 0.3, blur: 0.08 },
}
