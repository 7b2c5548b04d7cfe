import { bare, choice, fact, group, many, text, word, type Act, type FactSpec, type Of, type See } from '../bench'

/** What stands where somebody's eyes can be. */
export const PLACE_KINDS = ['seat', 'door', 'path', 'pane'] as const
export type PlaceKind = (typeof PLACE_KINDS)[number]

/** What each kind of place is called. */
export const PLACE_WORDS: Readonly<Record<PlaceKind, string>> = {
  seat: 'where somebody sits or stands',
  door: 'door',
  path: 'way past',
  pane: 'pane of glass to outside',
}

const LENS: Act = { id: 'lens', words: 'Read what the head’s sheet says of its lens, or measure the beam at it' }
const ROOM: Act = { id: 'roomPlan', words: 'Measure where machine, seats and doors are' }

type More = Partial<FactSpec>
const mm = (label: string, min: number, max: number, more: More = {}) => fact({ label, quantity: 'length', min, max, ...more })
const isFree = (see: See): boolean => see('reach.beam.free') === 'yes'

/** A place in the room where eyes can be. */
export const placeShape = group(
  {
    order: bare(),
    kind: word(PLACE_KINDS, 'seat'),
    name: text(1, 60, undefined, 'A place needs a name.'),
    x: mm('From the left wall', 0, 50_000, { unit: 'm' }),
    y: mm('From the front wall', 0, 50_000, { unit: 'm' }),
    eyes: mm('Height of the eyes there', 200, 3000, { unit: 'm', assume: { value: 1.5, halfWidth: 0.2, unit: 'm' } }),
    wears: choice({
      label: 'Whoever is there',
      options: { no: 'wears nothing', yes: 'wears the eyewear that is worn here' },
      assume: { chosen: 'no' },
    }),
  },
  { act: ROOM },
)
export type PlaceFacts = Of<typeof placeShape>

/** How far the beam reaches, and whom it would meet. */
export const reachShape = group(
  {
    beam: group(
      {
        focal: mm('From lens to focus', 1, 1000, { assume: { value: 40, halfWidth: 15, unit: 'mm' } }),
        across: mm('Beam at the lens, its narrower side', 0.1, 100, { assume: { value: 5, halfWidth: 2, unit: 'mm' } }),
        widths: choice({
          label: 'Widths of the beam are taken',
          options: { e2: 'at 1/e² of its middle', e1: 'at 1/e of its middle' },
          assume: { chosen: 'e2' },
        }),
        surface: choice({
          label: 'What is burnt throws light back',
          options: {
            dull: 'dully: wood, card, leather, cloth',
            bright: 'like a mirror: metal, glass, foil, lacquer',
          },
        }),
        back: fact({
          label: 'Share that a dull surface throws back',
          quantity: 'ratio',
          min: 0.01,
          max: 1,
          unit: 'percent',
          exact: true,
          assume: { value: 100, halfWidth: 0, unit: 'percent' },
        }),
        free: choice({
          label: 'A beam that is not focused',
          options: { no: 'never leaves the head', yes: 'can leave it: by a mirror, or without its lens' },
          assume: { chosen: 'no' },
        }),
        freeAcross: mm('Width of that beam as it leaves', 0.1, 100, { when: isFree }),
        freeAngle: fact({
          label: 'Full angle that it opens by',
          quantity: 'angle',
          min: 1e-5,
          max: 1,
          unit: 'mrad',
          when: isFree,
        }),
      },
      { part: 'reach', act: LENS },
    ),
    kept: choice({
      part: 'reach',
      label: 'While it burns',
      options: { shut: 'the box is shut', open: 'the lid is open, or there is no box' },
    }),
    room: group(
      {
        x: mm('Room from left to right', 500, 50_000, { unit: 'm', begun: () => false }),
        y: mm('Room from front to back', 500, 50_000, { unit: 'm', begun: () => false }),
        machineX: mm('Middle of the machine from the left wall', 0, 50_000, { unit: 'm', begun: () => false }),
        machineY: mm('Middle of the machine from the front wall', 0, 50_000, { unit: 'm', begun: () => false }),
        bed: mm('Height of the work over the floor', 0, 3000, { unit: 'm', assume: { value: 0.9, halfWidth: 0.1, unit: 'm' } }),
      },
      { part: 'reach', act: ROOM },
    ),
    places: many(placeShape, { placed: { part: 'reach' }, label: ({ label, thing }) => `${label}, ${thing.name}` }),
  },
  { stage: 'safety' },
)
export type Reach = Of<typeof reachShape>

/** What this domain reads of a bench. */
export interface ReachBench {
  readonly reach: Reach
}
