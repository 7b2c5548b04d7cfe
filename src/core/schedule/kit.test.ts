import { describe, expect, it } from 'vitest'
import { screwFor } from '../fasteners'
import { KINEMATICS, type Kinematics } from '../motion'
import { KINDS, KIND_IDS, kitGaps, kitWants, LAID_OUT, proposedJoints, type KitMachine } from '.'

const machine = (kinematics: Kinematics, over: Partial<KitMachine> = {}): KitMachine => ({
  kinematics,
  guides: 'wheels',
  barWidth: 20,
  plateThickness: 5,
  axes: [
    { letter: 'X', drive: 'belt', motors: 1 },
    { letter: 'Y', drive: 'belt', motors: kinematics === 'gantry' ? 2 : 1 },
  ],
  ...over,
})

describe('a kit', () => {
  it('of a gantry has what such machines have, counted by hand (common practice)', () => {
    const wants = kitWants(machine('gantry'))
    expect([wants.bar, wants.motor, wants.pulley]).toEqual([
      { least: 5, most: 5 },
      { least: 3, most: 3 },
      { least: 3, most: 3 },
    ])
    // Three plates, three wheels on each, one of them on an eccentric.
    expect([wants.wheel?.least, wants.eccentric?.least]).toEqual([9, 3])
    expect(wants.idler?.least).toBe(3)
  })

  it('with crossed belts has four idlers a belt; on screws no pulley; under mirrors no bar', () => {
    expect(kitWants(machine('crossed')).idler?.least).toBe(8)
    const onScrews = machine('axes', { axes: [{ letter: 'X', drive: 'screw', motors: 1 }], guides: 'rails' })
    expect(Object.keys(kitWants(onScrews))).not.toEqual(expect.arrayContaining(['pulley']))
    expect(kitWants(onScrews).wheel).toBeUndefined()
    expect(kitWants(machine('mirrors')).bar).toBeUndefined()
  })

  it('lacks the kinds of which too few were counted, and none that may be none', () => {
    const all = Object.fromEntries(KIND_IDS.map((it) => [it, 99]))
    expect(kitGaps(kitWants(machine('gantry')), all)).toEqual([])
    expect(kitGaps(kitWants(machine('gantry')), { ...all, wheel: 8, chain: 0 }).map((it) => [it.kind, it.counted])).toEqual([
      ['wheel', 8],
    ])
    for (const it of KIND_IDS) expect(KINDS[it].tell, it).not.toBe('')
  })

  it('proposes joints that a standard screw fits, with the thread of its bars', () => {
    for (const kinematics of Object.keys(KINEMATICS) as Kinematics[]) {
      for (const barWidth of [15, 20, 30, 40]) {
        for (const joint of proposedJoints(machine(kinematics, { barWidth }))) {
          expect(screwFor(joint).ok, `${kinematics} ${barWidth}: ${joint.name}`).toBe(true)
        }
      }
    }
    const joints = proposedJoints(machine('gantry'))
    expect(joints.find((it) => it.name.startsWith('Corner'))).toMatchObject({ count: 16, thread: 'M5', into: 'slotNut' })
    // M5 × 8 through a bracket of 3 mm into the slot of a 20 mm bar (common practice).
    const corner = screwFor(joints[0]!)
    expect(corner.ok && corner.value.lengthMm).toBe(8)
    // Four screws a motor.
    expect(joints.find((it) => it.name.startsWith('Motors'))?.count).toBe(12)
    expect(proposedJoints(machine('retrofit'))).toEqual([])
  })

  it('is laid out with every end numbered once, and the sides closed by front and back', () => {
    expect(LAID_OUT.flatMap((it) => it.ends)).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9, 10])
    expect(LAID_OUT.filter((it) => it.closed).map((it) => it.letter)).toEqual(['B', 'D', 'E'])
  })
})
