import {
  bare,
  choice,
  fact,
  group,
  many,
  moment,
  text,
  word,
  type Act,
  type FactSpec,
  type Of,
  type See,
  type SeeBeside,
} from '../bench'

/** How the smoke is caught. */
export const CATCHES = ['box', 'hood', 'table', 'mouth'] as const
export type Catch = (typeof CATCHES)[number]

/** Places that air goes between: the box, hood or table where the smoke is; where ducts join; the room and outdoors. */
export const AIR_PLACES = ['box', 'joinA', 'joinB', 'joinC', 'room', 'outdoors'] as const
export type AirPlace = (typeof AIR_PLACES)[number]

/** What a way is laid of. */
export const AIR_KINDS = ['duct', 'bend', 'reducer', 'end', 'grille', 'gate', 'flap', 'filter', 'fan', 'opening'] as const
export type AirKind = (typeof AIR_KINDS)[number]

/** Parts that have a diameter. */
const ROUND: readonly AirKind[] = ['duct', 'bend', 'reducer', 'end', 'grille', 'gate']
/** Parts whose maker states a pressure at a flow. */
const STATED: readonly AirKind[] = ['flap', 'filter']

const SMOKE: Act = { id: 'smoke', words: 'Say how the smoke is caught, and what is open there' }
const DUCT: Act = { id: 'duct', words: 'Measure the duct: inside diameter, length, bends' }
const FAN: Act = { id: 'fan', words: "Read the fan's label or sheet: flow, and pressure" }
const ROOM: Act = { id: 'room', words: 'Look round the room: what burns in it, and where air comes in' }

type More = Partial<FactSpec>
const mm = (label: string, min: number, max: number, more: More = {}) => fact({ label, quantity: 'length', min, max, ...more })
const area = (label: string, min: number, max: number, more: More = {}) => fact({ label, quantity: 'area', min, max, ...more })
const whole = (label: string, min: number, max: number, value: number, more: More = {}) =>
  fact({ label, quantity: 'count', min, max, whole: true, exact: true, assume: { value, halfWidth: 0 }, ...more })

const of =
  (...kinds: readonly AirKind[]) =>
  (see: SeeBeside): boolean =>
    kinds.includes(see.beside('kind') as AirKind)
/** A hose, which can lie slack and whose ribs differ. */
const isHose = (see: SeeBeside): boolean => see.beside('kind') === 'duct' && ['hose', 'foil'].includes(String(see.beside('wall')))
const caughtBy =
  (...ways: readonly Catch[]) =>
  (see: See): boolean =>
    ways.includes(see('air.box.caught') as Catch)

/** A place on a fan's curve between its two ends. */
export const fanPointShape = group({
  order: bare(),
  flow: fact({ label: 'Flow', quantity: 'flow', min: 0, max: 5, unit: 'm3/h' }),
  pressure: fact({ label: 'Static pressure there', quantity: 'pressure', min: 0, max: 20_000, unit: 'Pa' }),
})

/** One part of a way, in the order in which the air meets it. */
export const airPartShape = group(
  {
    order: bare(),
    kind: word(AIR_KINDS, 'duct'),
    diameter: mm('Inside diameter', 10, 1000, { when: of(...ROUND), act: DUCT }),
    length: mm('Length', 1, 100_000, { unit: 'm', when: of('duct'), act: DUCT }),
    wall: choice({
      label: 'Duct',
      options: { metal: 'metal pipe', plastic: 'plastic pipe', foil: 'aluminium hose', hose: 'plastic hose' },
      assume: { chosen: 'hose', others: ['metal'] },
      when: of('duct'),
    }),
    ribs: mm('Height of its ribs', 0, 10, { assume: { value: 3, halfWidth: 1.5, unit: 'mm' }, when: isHose }),
    slack: fact({
      label: 'Share that it lies shorter than stretched',
      quantity: 'ratio',
      min: 0,
      max: 0.45,
      assume: { value: 10, halfWidth: 10, unit: 'percent' },
      when: isHose,
    }),
    bend: choice({
      label: 'Bend',
      options: { smooth: 'smooth, radius 1.5 diameters', pleated: 'pleated, or a bent hose', mitre: 'mitred' },
      assume: { chosen: 'pleated', others: ['smooth'] },
      when: of('bend'),
    }),
    angle: fact({
      label: 'Angle of the bend',
      quantity: 'angle',
      min: 0,
      max: Math.PI,
      assume: { value: 90, halfWidth: 5, unit: 'deg' },
      when: of('bend'),
    }),
    to: mm('Inside diameter behind it', 10, 1000, { when: of('reducer'), act: DUCT }),
    step: choice({
      label: 'It changes',
      options: { step: 'at once', cone: 'along a cone' },
      assume: { chosen: 'step', others: ['cone'] },
      when: of('reducer'),
    }),
    end: choice({
      label: 'End',
      options: {
        plain: 'plain, air goes in',
        flanged: 'with a rim, air goes in',
        bell: 'bell mouth, air goes in',
        out: 'air leaves',
      },
      assume: { chosen: 'plain', others: ['flanged'] },
      when: of('end'),
    }),
    free: fact({
      label: 'Share of it that is open',
      quantity: 'ratio',
      min: 0,
      max: 1,
      assume: { value: 60, halfWidth: 15, unit: 'percent' },
      when: of('grille', 'gate'),
    }),
    takes: fact({
      label: 'Pressure that it takes',
      quantity: 'pressure',
      min: 0,
      max: 5000,
      assume: { value: 15, halfWidth: 10, unit: 'Pa' },
      when: of(...STATED),
      act: FAN,
    }),
    takesAt: fact({
      label: 'Flow at which it takes that',
      quantity: 'flow',
      min: 1e-4,
      max: 5,
      assume: { value: 150, halfWidth: 0, unit: 'm3/h' },
      when: of(...STATED),
      act: FAN,
    }),
    holds: choice({
      label: 'Filter holds back',
      options: { dust: 'particles', carbon: 'particles and smell, by carbon' },
      assume: { chosen: 'dust' },
      when: of('filter'),
    }),
    opening: area('Open area', 0.1, 20_000, { when: of('opening'), act: DUCT }),
    freeFlow: fact({ label: 'Flow into free air', quantity: 'flow', min: 1e-4, max: 5, unit: 'm3/h', when: of('fan'), act: FAN }),
    shutOff: fact({
      label: 'Pressure with its mouth shut',
      quantity: 'pressure',
      min: 1,
      max: 20_000,
      assume: { value: 150, halfWidth: 110, unit: 'Pa' },
      when: of('fan'),
      act: FAN,
    }),
    speed: fact({
      label: 'Speed of the fan, of full',
      quantity: 'ratio',
      min: 0.1,
      max: 2,
      exact: true,
      assume: { value: 100, halfWidth: 0, unit: 'percent' },
      when: of('fan'),
    }),
    beside: whole('Count of such fans side by side', 1, 6, 1, { when: of('fan') }),
    noise: fact({
      label: 'Noise at full speed, 1 m away',
      quantity: 'level',
      min: 0,
      max: 130,
      assume: { value: 55, halfWidth: 8, unit: 'dB' },
      when: of('fan'),
    }),
    points: many(fanPointShape, { label: ({ label, thing }) => `${label}, point ${thing.order} of the curve` }),
  },
  { act: DUCT },
)
export type AirPartFacts = Of<typeof airPartShape>

/** A way of the air from a place to a place. */
export const airWayShape = group({
  order: bare(),
  name: text(1, 40, undefined, 'A way of the air needs a name.'),
  from: word(AIR_PLACES, 'box'),
  to: word(AIR_PLACES, 'outdoors'),
  parts: many(airPartShape, { label: ({ label, thing }) => `${label}, part ${thing.order}: ${AIR_KIND_WORDS[thing.kind]}` }),
})
export type AirWay = Of<typeof airWayShape>

/** What each kind of part is called. */
export const AIR_KIND_WORDS: Readonly<Record<AirKind, string>> = {
  duct: 'duct',
  bend: 'bend',
  reducer: 'reducer',
  end: 'open end',
  grille: 'grille',
  gate: 'gate',
  flap: 'flap',
  filter: 'filter',
  fan: 'fan',
  opening: 'opening',
}

/** What each place is called. */
export const AIR_PLACE_WORDS: Readonly<Record<AirPlace, string>> = {
  box: 'the box',
  joinA: 'junction A',
  joinB: 'junction B',
  joinC: 'junction C',
  room: 'the room',
  outdoors: 'outdoors',
}

const notNow = (): boolean => false
const speedRead = (label: string) => fact({ label, quantity: 'speed', min: 0, max: 60_000, unit: 'm/s' })
const pressureRead = (label: string) => fact({ label, quantity: 'pressure', min: -20_000, max: 20_000, unit: 'Pa' })

/** What anemometer and water column said with the inlet set one way. */
export const airReadingShape = group(
  {
    order: bare(),
    at: moment('instant'),
    /** How the inlet, or the gate, stood. */
    setting: text(0, 60, ''),
    out: speedRead('Speed of the air where it leaves'),
    inlet: speedRead('Speed of the air at the inlet'),
    below: pressureRead('Pressure of the box below the room'),
    suction: pressureRead('Suction before the fan'),
  },
  { act: { id: 'airRead', words: 'Hold the anemometer where air leaves and at the inlet, and read the water column' } },
)
export type AirReadingFacts = Of<typeof airReadingShape>

/** Parts that are made for a duct: turned ones to print, and plates to cut or print. */
export const PRINT_KINDS = ['adapter', 'flange', 'bracket', 'insert'] as const
export type PrintKind = (typeof PRINT_KINDS)[number]
export const PRINT_WORDS: Readonly<Record<PrintKind, string>> = {
  adapter: 'adapter or coupler',
  flange: 'flange, with a grille or without',
  bracket: 'plate that carries a fan',
  insert: 'insert for a window',
}
const END_GOES = ['over', 'into'] as const

const made =
  (...kinds: readonly PrintKind[]) =>
  (see: SeeBeside): boolean =>
    kinds.includes(see.beside('kind') as PrintKind)
const sized = (label: string, value: number, min: number, max: number, more: More = {}) =>
  mm(label, min, max, { assume: { value, halfWidth: 0, unit: 'mm' }, exact: true, ...more })
const MEASURE_ENDS: Act = { id: 'ductEnds', words: 'Measure what the printed part goes on with calipers' }

/** A part for the duct, by what was measured. */
export const printShape = group(
  {
    order: bare(),
    kind: word(PRINT_KINDS, 'adapter'),
    name: text(1, 60, undefined, 'A part needs a name.'),
    lowGoes: word(END_GOES, 'over'),
    low: mm('Diameter that its lower end goes on', 10, 400, { when: made('adapter') }),
    lowLength: sized('Lower end overlaps by', 25, 5, 200, { when: made('adapter') }),
    highGoes: word(END_GOES, 'over'),
    high: mm('Diameter that its upper end goes on', 10, 400, { when: made('adapter') }),
    highLength: sized('Upper end overlaps by', 25, 5, 200, { when: made('adapter') }),
    width: mm('Width of the plate', 10, 2000, { when: made('flange', 'bracket', 'insert') }),
    height: mm('Height of the plate', 10, 2000, { when: made('flange', 'bracket', 'insert') }),
    hole: mm('Outside diameter of what goes through it', 5, 1000, { when: made('flange', 'bracket', 'insert') }),
    bars: sized('Bars of its grille', 2, 0.8, 20, { when: made('flange') }),
    between: sized('Between the bars; 0: no grille', 6, 0, 100, { when: made('flange') }),
    screws: whole('Screws', 0, 12, 4, { when: made('flange', 'bracket') }),
    pitch: mm('From screw to screw across, middle to middle', 5, 1500, { when: made('flange', 'bracket') }),
    screwHole: sized('Screw holes', 4.5, 1, 20, { when: made('flange', 'bracket') }),
    notch: sized('Notch for the wire; 0: none', 0, 0, 40, { when: made('bracket') }),
    thick: sized('Thickness of the plate', 4, 0.5, 40, { when: made('flange', 'bracket', 'insert') }),
    behind: sized('What the screws go through behind it', 6, 0, 100, { when: made('flange', 'bracket') }),
  },
  { act: MEASURE_ENDS },
)
export type PrintFacts = Of<typeof printShape>

/** Whether the smoke leaves, and where fresh air comes in. */
export const airShape = group(
  {
    box: group(
      {
        caught: choice({
          label: 'Smoke is caught',
          options: {
            box: 'in a closed box',
            hood: 'under a hood, with a gap at its foot',
            table: 'down through the holes of the table',
            mouth: 'by an open mouth beside the head',
          },
        }),
        volume: fact({ label: 'Room in the box', quantity: 'volume', min: 1e-4, max: 20, when: caughtBy('box', 'hood') }),
        gaps: area('Gaps of the box, all together', 0, 5000, {
          assume: { value: 25, halfWidth: 20, unit: 'cm2' },
          when: caughtBy('box'),
        }),
        inlet: area('Open area of its inlet', 0, 10_000, { when: caughtBy('box') }),
        turns: whole('Turns of the baffle behind it', 0, 8, 2, { when: caughtBy('box') }),
        hoodLength: mm('Hood, along X', 10, 5000, { when: caughtBy('hood') }),
        hoodWidth: mm('Hood, along Y', 10, 5000, { when: caughtBy('hood') }),
        hoodGap: mm('Gap at its foot', 0.1, 200, { assume: { value: 5, halfWidth: 2, unit: 'mm' }, when: caughtBy('hood') }),
        holes: whole('Holes of the table', 1, 20_000, 100, { when: caughtBy('table') }),
        holeDiameter: mm('Diameter of a hole', 0.5, 100, { when: caughtBy('table') }),
        covered: fact({
          label: 'Share of them that the work covers',
          quantity: 'ratio',
          min: 0,
          max: 0.99,
          assume: { value: 50, halfWidth: 30, unit: 'percent' },
          when: caughtBy('table'),
        }),
        mouth: area('Area of the mouth', 1, 5000, { when: caughtBy('mouth') }),
        mouthAway: mm('From the mouth to the spot', 5, 1000, { when: caughtBy('mouth') }),
        rim: choice({
          label: 'Mouth',
          options: { plain: 'without a rim', flanged: 'with a rim round it' },
          assume: { chosen: 'plain', others: ['flanged'] },
          when: caughtBy('mouth'),
        }),
        mixing: fact({
          label: 'Changes of its air for a whole clearing',
          quantity: 'ratio',
          min: 1,
          max: 10,
          assume: { value: 5, halfWidth: 3, unit: 'one' },
          when: caughtBy('box', 'hood'),
        }),
      },
      { part: 'box', act: SMOKE },
    ),
    wanted: group(
      {
        inward: fact({
          label: 'Speed of air asked for at every opening',
          quantity: 'speed',
          min: 100,
          max: 5000,
          assume: { value: 0.5, halfWidth: 0, unit: 'm/s' },
          exact: true,
        }),
        clearIn: fact({
          label: 'Time to clear asked for',
          quantity: 'time',
          min: 1,
          max: 3600,
          assume: { value: 60, halfWidth: 0, unit: 's' },
          exact: true,
        }),
      },
      { part: 'box', act: { id: 'airWish', words: 'Say how fast air is to come in' } },
    ),
    room: group(
      {
        appliance: choice({
          label: 'Appliance that burns in the room',
          options: {
            none: 'nothing: no stove, boiler, heater or geyser',
            there: 'there is a stove, boiler, heater or geyser',
            looked: 'there is one, and a professional has tried it with this fan running',
          },
        }),
        supply: area('Opening for air to come into the room', 0.1, 50_000, {
          assume: { value: 150, halfWidth: 100, unit: 'cm2' },
        }),
      },
      { part: 'box', act: ROOM },
    ),
    ways: many(airWayShape, { placed: { part: 'duct' }, label: ({ label, thing }) => `${label}, ${thing.name}` }),
    /** Id of the way that is looked at; empty: the first. */
    shown: text(0, 40, ''),
    meter: group(
      {
        outDiameter: mm('Inside diameter where the air leaves', 10, 1000, { begun: notNow }),
        inletArea: area('Open at the inlet, where it is read', 0, 10_000, { begun: notNow }),
        off: fact({
          label: 'Error of the anemometer',
          quantity: 'ratio',
          min: 0,
          max: 0.5,
          exact: true,
          assume: { value: 5, halfWidth: 0, unit: 'percent' },
          begun: notNow,
        }),
      },
      { part: 'measure', act: { id: 'airMeter', words: 'Measure where the anemometer is held' } },
    ),
    readings: many(airReadingShape, {
      placed: { part: 'measure' },
      label: ({ label, thing }) => `${label}, reading ${thing.order}`,
    }),
    /** How parts are printed. */
    printing: group(
      {
        nozzle: sized('Nozzle', 0.4, 0.1, 2),
        lines: whole('Lines in a wall', 1, 20, 4),
        play: sized('Play of a fit, on the diameter', 0.4, 0, 3),
      },
      { part: 'print', act: { id: 'printing', words: 'Read the nozzle of the printer, and try a fit' }, begun: notNow },
    ),
    prints: many(printShape, { placed: { part: 'print' }, label: ({ label, thing }) => `${label}, ${thing.name}` }),
    /** Whether gaps are those that were typed, or those that follow from the readings. */
    gapsBy: word(['typed', 'readings'] as const, 'typed'),
    /** How the smoke trial went, as it was last seen. */
    smoke: choice({
      part: 'measure',
      label: 'Smoke trial',
      options: {
        in: 'smoke is drawn in at every gap',
        lingers: 'it lingers at a gap',
        out: 'it comes out somewhere',
      },
    }),
  },
  { stage: 'air' },
)
export type Air = Of<typeof airShape>

/** What this domain reads of a bench. */
export interface AirBench {
  readonly air: Air
}
