import { bare, choice, fact, group, many, text, word, type Act, type FactSpec, type Of, type See, type SeeBeside } from '../bench'
import { SHEET_DENSITY } from './panels'

/** Walls of a box. */
export const WALLS = ['left', 'right', 'front', 'back', 'floor', 'roof'] as const
export type Wall = (typeof WALLS)[number]

/** What is put into a wall. */
export const PORT_KINDS = ['inlet', 'vent', 'cable', 'hose', 'controller', 'camera', 'lamp', 'window', 'label'] as const
export type PortKind = (typeof PORT_KINDS)[number]

/** What each kind of port is called. */
export const PORT_WORDS: Readonly<Record<PortKind, string>> = {
  inlet: 'inlet for air',
  vent: 'vent for the duct',
  cable: 'cable grommet',
  hose: 'hose',
  controller: 'opening for the controller',
  camera: 'camera',
  lamp: 'lamp',
  window: 'window',
  label: 'label or plaque',
}

/** Sheets that boxes are made of. */
export const SHEET_WORDS = {
  birch: 'birch plywood',
  poplar: 'poplar plywood',
  mdf: 'medium-density fibreboard',
  acrylic: 'acrylic',
  polycarbonate: 'polycarbonate',
  glass: 'glass',
  aluminium: 'aluminium',
  steel: 'steel',
} as const satisfies Readonly<Record<keyof typeof SHEET_DENSITY, string>>
export type SheetKind = keyof typeof SHEET_WORDS

const NEEDS: Act = { id: 'boxNeeds', words: 'Measure the machine with its head at every end of travel' }
const SHEET: Act = { id: 'sheet', words: 'Measure the sheet, and read its price' }
const LID: Act = { id: 'lid', words: 'Read the springs’ label, and measure where they can go' }
const PORTS: Act = { id: 'ports', words: 'Say where the openings are' }
const WINDOW: Act = { id: 'window', words: 'Measure the window sheet, and look for its certificate' }

type More = Partial<FactSpec>
const mm = (label: string, min: number, max: number, more: More = {}) => fact({ label, quantity: 'length', min, max, ...more })
const about = (label: string, max: number, value: number, halfWidth: number, more: More = {}) =>
  mm(label, 0, max, { assume: { value, halfWidth, unit: 'mm' }, ...more })
const wished = (label: string, max: number, value: number, more: More = {}) =>
  mm(label, 0, max, { assume: { value, halfWidth: 0, unit: 'mm' }, exact: true, ...more })

const isGas = (see: See): boolean => see('housing.lid.springs') === 'gas'
const isSprung = (see: See): boolean => isGas(see) || see('housing.lid.springs') === 'coil'
const isFramed = (see: See): boolean => see('housing.window.kept') === 'yes'
const isJointed = (see: See): boolean => see('housing.make.joint') !== 'butt'
const isSeen = (see: See): boolean => see('housing.needs.camera') === 'yes'
const isAngled = (see: See): boolean => see('housing.lid.form') === 'angled'

/** A sheet that could be bought. */
export const sheetShape = group(
  {
    order: bare(),
    kind: choice({ label: 'Sheet of', options: SHEET_WORDS, assume: { chosen: 'birch', others: ['poplar'] } }),
    thickness: mm('Thickness as measured', 0.5, 60),
    along: wished('Along its grain', 4000, 2500),
    across: wished('Across its grain', 4000, 1250),
    price: fact({ label: 'Price of a sheet', quantity: 'money', min: 0, max: 1e5, exact: true }),
  },
  { act: SHEET },
)
export type SheetFacts = Of<typeof sheetShape>

/** A piece of sheet that is left over. */
export const offcutShape = group({
  order: bare(),
  along: mm('Offcut along its grain', 20, 4000),
  across: mm('Offcut across its grain', 20, 4000),
})

/** A plate that stands before an opening, on the inside. */
export const baffleShape = group({
  order: bare(),
  away: wished('Baffle inside the wall by', 1000, 40),
  over: wished('It reaches beyond the opening by', 1000, 40),
  up: bare({ min: -2000, max: 2000 }, 0),
  right: bare({ min: -2000, max: 2000 }, 0),
})

const isFilled = (see: SeeBeside): boolean => see.beside('filled') === 'no'

/** An opening, or what is put into one; its place by the middle of it, from the lower left corner of the wall as seen from outside. */
export const portShape = group(
  {
    order: bare(),
    kind: word(PORT_KINDS, 'inlet'),
    name: text(1, 60, undefined, 'An opening needs a name.'),
    wall: word(WALLS, 'back'),
    x: mm('Its middle from the left edge', 0, 4000),
    y: mm('Its middle from the lower edge', 0, 4000),
    width: mm('Width', 1, 3000),
    height: mm('Height', 1, 3000, { when: (see) => see.beside('round') !== 'yes' }),
    round: choice({ label: 'Its shape', options: { no: 'square', yes: 'round' }, assume: { chosen: 'no' } }),
    filled: choice({
      label: 'What is in it',
      options: {
        yes: 'it is filled: no gap is left round what goes through',
        no: 'light can go through it',
      },
    }),
    free: fact({
      label: 'Share of it that is open',
      quantity: 'ratio',
      min: 0,
      max: 1,
      assume: { value: 100, halfWidth: 0, unit: 'percent' },
      exact: true,
      when: isFilled,
    }),
    baffles: many(baffleShape, { label: ({ label, thing }) => `${label}, baffle ${thing.order}` }),
  },
  { act: PORTS },
)
export type PortFacts = Of<typeof portShape>

/** The box around the machine. */
export const housingShape = group(
  {
    needs: group(
      {
        machineX: mm('Machine along X, head at both ends', 50, 4000),
        machineY: mm('Machine along Y, head at both ends', 50, 4000),
        machineZ: mm('Machine’s highest place over what it stands on', 20, 3000),
        bedOver: mm('Height of the bed over what the machine stands on', 0, 2000),
        headTall: about('Head above its lower edge', 1000, 130, 30),
        loopAbove: about('Room for cables above it', 1000, 40, 15),
        loopBehind: about('Room for cables behind it', 1000, 50, 20),
        handsSide: about('Room for hands at each side', 1000, 60, 20),
        handsFront: about('Room for hands in front', 1000, 80, 20),
        camera: choice({
          label: 'Camera in the roof',
          options: { no: 'there is none', yes: 'there is one' },
          assume: { chosen: 'no' },
        }),
        cameraSees: mm('Width that it must see', 10, 3000, { when: isSeen }),
        cameraField: fact({
          label: 'Its angle of view',
          quantity: 'angle',
          min: 0.1,
          max: 3,
          assume: { value: 60, halfWidth: 5, unit: 'deg' },
          when: isSeen,
        }),
        cameraBody: about('Camera behind its lens', 200, 25, 10, { when: isSeen }),
      },
      { part: 'box', act: NEEDS },
    ),
    size: group(
      {
        x: mm('Inside along X, as it is or shall be', 50, 5000, { begun: () => false }),
        y: mm('Inside along Y, as it is or shall be', 50, 5000, { begun: () => false }),
        z: mm('Inside height, as it is or shall be', 50, 5000, { begun: () => false }),
        floor: choice({
          label: 'Below',
          options: { yes: 'a floor', no: 'none: a hood to lift away' },
          assume: { chosen: 'yes', others: [] },
        }),
        lift: choice({
          label: 'Lifted by',
          options: { one: 'one person', two: 'two people' },
          assume: { chosen: 'one' },
          when: (see) => see('housing.size.floor') === 'no',
        }),
        foot: choice({
          label: 'Foot of the hood',
          options: { skirt: 'a skirt of brush or cloth all round', gap: 'a gap' },
          when: (see) => see('housing.size.floor') === 'no',
        }),
        footGap: about('Gap at the foot', 200, 5, 2, {
          when: (see) => see('housing.size.floor') === 'no' && see('housing.size.foot') === 'gap',
        }),
        inside: choice({ label: 'Inside', options: { black: 'matt black', bright: 'bright, or wood as it is' } }),
      },
      { part: 'box', act: NEEDS },
    ),
    make: group(
      {
        joint: choice({
          label: 'Panels meet',
          options: { butt: 'butt to butt', rebate: 'in rebates', groove: 'in grooves' },
          assume: { chosen: 'butt' },
        }),
        depth: wished('Rebate or groove deep', 40, 4, { when: isJointed }),
        kerf: about('Kerf of the saw', 12, 3, 0.4),
        trim: wished('Trimmed off each edge of a sheet', 100, 5),
        grain: choice({
          label: 'Grain',
          options: { free: 'may run either way', kept: 'runs along each panel' },
          assume: { chosen: 'free' },
        }),
        bar: wished('Length that bars for the frame are sold in', 6000, 2000, { when: isFramed }),
        braces: choice({
          label: 'Corner braces',
          options: { no: 'none', yes: 'a triangle in each corner' },
          assume: { chosen: 'no' },
        }),
        brace: wished('Legs of a brace', 400, 80, { when: (see) => see('housing.make.braces') === 'yes' }),
        screw: mm('Diameter of the screws', 1, 10, { assume: { value: 3.5, halfWidth: 0, unit: 'mm' }, exact: true }),
        spacing: wished('Screws apart, at most', 600, 150),
        coats: fact({
          label: 'Coats of paint',
          quantity: 'count',
          min: 0,
          max: 10,
          whole: true,
          exact: true,
          assume: { value: 2, halfWidth: 0 },
        }),
        covers: fact({
          label: 'Area that a litre of paint covers once',
          quantity: 'area',
          min: 1,
          max: 5e5,
          assume: { value: 9, halfWidth: 2, unit: 'm2' },
          unit: 'm2',
        }),
        paintPrice: fact({ label: 'Price of a litre of paint', quantity: 'money', min: 0, max: 1e4, exact: true }),
        bySpray: choice({
          label: 'Painted',
          options: { brush: 'by brush or roller', can: 'from spray cans' },
          assume: { chosen: 'brush' },
        }),
      },
      { part: 'panels', act: SHEET },
    ),
    sheets: many(sheetShape, { placed: { part: 'panels' }, label: ({ label, thing }) => `${label}, sheet ${thing.order}` }),
    /** Id of the sheet that the box is made of; empty: nobody has said. */
    sheet: text(0, 40, ''),
    offcuts: many(offcutShape, {
      placed: { part: 'panels', act: SHEET },
      label: ({ label, thing }) => `${label} ${thing.order}`,
    }),
    window: group(
      {
        kept: choice({
          label: 'Window sheet',
          options: { no: 'there is none', yes: 'is used as it is, uncut, in a frame' },
          assume: { chosen: 'no' },
        }),
        x: mm('Window sheet along X', 20, 3000, { when: isFramed }),
        y: mm('Window sheet across it', 20, 3000, { when: isFramed }),
        thick: mm('Window sheet thick', 0.5, 40, { when: isFramed }),
        weighs: choice({
          label: 'It is of',
          options: { acrylic: 'acrylic', polycarbonate: 'polycarbonate', glass: 'glass' },
          assume: { chosen: 'acrylic', others: ['polycarbonate'] },
          when: isFramed,
        }),
        bar: wished('Bars of its frame', 200, 45, { when: isFramed }),
        groove: wished('Groove that it stands in', 100, 10, { when: isFramed }),
        play: wished('Play at each side of it', 20, 1, { when: isFramed }),
        tongue: wished('Tongue of the level bars', 100, 15, { when: isFramed }),
        decides: choice({
          label: 'The box',
          options: { no: 'is as large as its needs', yes: 'is as large as the frame' },
          assume: { chosen: 'no' },
          when: isFramed,
        }),
      },
      { part: 'box', act: WINDOW },
    ),
    lid: group(
      {
        form: choice({
          label: 'It opens',
          options: { top: 'at the top, hinged behind', front: 'at the front, hinged above', angled: 'along a slanted front' },
          assume: { chosen: 'top' },
        }),
        frontHeight: mm('Upright part of the front', 10, 3000, { when: isAngled }),
        roofDepth: mm('Level part of the roof', 10, 3000, { when: isAngled }),
        extra: fact({
          label: 'Mass of handle, hinge and strip',
          quantity: 'mass',
          min: 0,
          max: 20,
          assume: { value: 300, halfWidth: 150, unit: 'g' },
          unit: 'g',
        }),
        opensTo: fact({
          label: 'Angle that the lid opens by',
          quantity: 'angle',
          min: 0.1,
          max: 2,
          assume: { value: 75, halfWidth: 3, unit: 'deg' },
        }),
        seal: choice({ label: 'Shut, it lies', options: { strip: 'on a strip, or in a lip, all round', gap: 'with a gap' } }),
        gap: about('Gap under the shut lid', 100, 2, 1, { when: (see) => see('housing.lid.seal') === 'gap' }),
        springs: choice({
          label: 'Support of the lid',
          options: { none: 'a stay that is set by hand', gas: 'gas springs', coil: 'coil springs that push' },
        }),
        count: fact({
          label: 'Springs',
          quantity: 'count',
          min: 1,
          max: 4,
          whole: true,
          exact: true,
          assume: { value: 2, halfWidth: 0 },
          when: isSprung,
        }),
        force: fact({ label: 'Force of each, stretched', quantity: 'force', min: 1, max: 2000, unit: 'N', when: isSprung }),
        progression: fact({
          label: 'Force pressed in, over force stretched',
          quantity: 'ratio',
          min: 1,
          max: 3,
          assume: { value: 1.3, halfWidth: 0.08, unit: 'one' },
          when: isSprung,
        }),
        stretched: mm('Length of a spring, stretched', 30, 1500, { when: isSprung }),
        stroke: mm('Stroke of a spring', 10, 800, { when: isSprung }),
        onLid: mm('Springs on the lid, from the hinge', 5, 2000, { when: isSprung }),
        boxOut: mm('Springs on the box, out from the hinge', -500, 1500, { when: isSprung }),
        boxDown: mm('Springs on the box, below the hinge', -500, 2000, { when: isSprung }),
        coldest: fact({
          label: 'Coldest temperature where it stands',
          quantity: 'temperature',
          min: -20,
          max: 40,
          assume: { value: 5, halfWidth: 0, unit: 'degC' },
          exact: true,
          when: isGas,
        }),
        warmest: fact({
          label: 'Warmest temperature where it stands',
          quantity: 'temperature',
          min: -10,
          max: 60,
          assume: { value: 35, halfWidth: 0, unit: 'degC' },
          exact: true,
          when: isGas,
        }),
        friction: fact({
          label: 'Friction of hinge and springs',
          quantity: 'torque',
          min: 0,
          max: 50,
          assume: { value: 0.5, halfWidth: 0.3, unit: 'Nm' },
          when: isSprung,
        }),
        hinge: fact({
          label: 'Load that its hinge carries',
          quantity: 'force',
          min: 1,
          max: 5000,
          unit: 'N',
          assume: { value: 200, halfWidth: 80, unit: 'N' },
        }),
      },
      { part: 'lid', act: LID },
    ),
    ports: many(portShape, { placed: { part: 'ports' }, label: ({ label, thing }) => `${label}, ${thing.name}` }),
  },
  { stage: 'housing' },
)
export type Housing = Of<typeof housingShape>

/** What this domain reads of a bench. */
export interface HousingBench {
  readonly housing: Housing
}
