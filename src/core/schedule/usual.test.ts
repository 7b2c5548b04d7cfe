import { describe, expect, it } from 'vitest'
import { KINEMATICS, type Kinematics } from '../motion'
import { timeNetwork, usualTasks, wayBack, type UsualTask } from '.'

const wanted = [{}, { rotary: true }, { portable: true }, { rotary: true, portable: true }]
const lists = (Object.keys(KINEMATICS) as Kinematics[]).flatMap((kinematics) =>
  wanted.map((it) => [`${kinematics} ${JSON.stringify(it)}`, usualTasks(kinematics, it)] as const),
)

function network(tasks: readonly UsualTask[]) {
  const timed = timeNetwork(tasks.map((it) => ({ ...it, id: it.key })))
  if (!timed.ok) throw new Error(timed.findings[0]?.message)
  return timed.value
}

/** Whether one task comes behind another, by whatever way. */
function behind(tasks: readonly UsualTask[], late: string, early: string): boolean {
  const task = tasks.find((it) => it.key === late)
  return task !== undefined && task.needs.some((it) => it === early || behind(tasks, it, early))
}

describe.each([...lists, ['the way back', wayBack()] as const])('the usual tasks of %s', (_, tasks) => {
  it('wait for nothing that is not among them, and in no ring; each says how it is known to be done', () => {
    expect(network(tasks).order).toHaveLength(tasks.length)
    for (const { check, key } of tasks) expect(check, key).not.toBe('')
    expect(new Set(tasks.map((it) => it.key)).size).toBe(tasks.length)
  })

  it('end with one task that comes behind all the others', () => {
    const last = tasks.filter(({ key }) => !tasks.some((it) => it.needs.includes(key)))
    expect(last).toHaveLength(1)
  })
})

it('keep the orders that cannot be mended later (common practice)', () => {
  const built = usualTasks('gantry', { rotary: true, portable: true })
  expect(behind(built, 'corners', 'nuts')).toBe(true) // slot nuts before the corner is closed
  expect(behind(built, 'tighten', 'square')).toBe(true) // square before tightening
  expect(behind(built, 'glaze', 'paint')).toBe(true) // paint before glazing
  expect(behind(built, 'wire', 'chain')).toBe(true) // wires through the chain before their plugs go on
  expect(behind(built, 'interlock', 'wire')).toBe(true)
  for (const first of ['interlock', 'rotary', 'carry']) expect(behind(built, 'commission', first)).toBe(true)
  const changed = usualTasks('retrofit')
  expect(behind(changed, 'head', 'off')).toBe(true) // nothing is unplugged under power
  expect(behind(changed, 'commission', 'guard')).toBe(true)
  expect(usualTasks('mirrors').map((it) => it.key)).not.toContain('belts')
})
