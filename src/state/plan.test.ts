import 'fake-indexeddb/auto'
import { beforeAll, beforeEach, describe, expect, it } from 'vitest'
import { setAt, shownNumber, type BenchRecord } from '../core/bench'
import { writtenTitle } from '../core/controller'
import { axisIds, emptyBench, engineFor, type Bench } from '../core/document'
import { heron } from '../data/heron'
import { plover } from '../data/plover'
import { openInStore, undo, useBenchStore } from './benchStore'
import { loadChecking } from './checking'
import { settingsToPutBack } from './controller'
import { addMachineParts, machineParts } from './machineParts'
import { partsFromCsv, partsToCsv } from './partsCsv'

const csv = (text: string): File => new File([text], 'parts.csv')

import {
  addRow,
  beginTask,
  calendarFile,
  editRow,
  moveRow,
  planNow,
  removeRow,
  takeUsualTasks,
  takeWayBack,
  tickTask,
} from './plan'
import { moveHead, useSession } from './session'
import { reasonOf } from './told'

const NOW = '2026-11-24T18:30'
const state = () => useBenchStore.getState().bench as Bench
const open = (bench: Bench) => openInStore({ bench, records: [], files: [], revision: 1, savedMarks: {} }, '')
const inOrder = (rows: Readonly<Record<string, { readonly order: number; readonly name: string }>>) =>
  Object.values(rows)
    .sort((p, q) => p.order - q.order)
    .map((it) => it.name)

beforeAll(() => loadChecking())
beforeEach(() => open(heron().bench))

describe('rows of the plan', () => {
  it('a task that is taken away is waited for no longer, and comes back with all its ties', () => {
    const before = state().plan.tasks
    expect(before['glaze']?.needs).toHaveProperty('paint')
    removeRow('tasks', 'paint', 'paint away')
    expect(state().plan.tasks['glaze']?.needs).toEqual({})
    expect(planNow(state(), NOW).calendar.ok).toBe(true)
    undo()
    expect(state().plan.tasks).toBe(before)
  })

  it('a part that is taken away holds no task up any more', () => {
    const glaze = () => planNow(state(), NOW).hindrances.get('glaze')
    expect(glaze()).toContain('parcel')
    removeRow('parts', 'window', 'window away')
    expect(state().plan.tasks['glaze']?.parts).toEqual({})
    expect(glaze()).not.toContain('parcel')
  })

  it('change places with their neighbour, and not beyond the ends', () => {
    const [first, second] = inOrder(state().plan.parts)
    moveRow('parts', 'bars', 1, 'down')
    expect(inOrder(state().plan.parts).slice(0, 2)).toEqual([second, first])
    const ends = state().plan.parts
    moveRow('parts', 'motors', -1, 'up')
    expect(state().plan.parts).toBe(ends)
  })

  it('what is refused leaves them as they were, and says where', () => {
    const before = state()
    expect(reasonOf(editRow('parts', 'hose', { count: 1.5 }, 'x'))).toContain('plan.parts.hose.count')
    expect(reasonOf(editRow('tasks', 'paint', { notBefore: 'soon' }, 'x'))).toContain('plan.tasks.paint.notBefore')
    expect(state()).toBe(before)
    expect(editRow('tasks', 'no such', { name: 'x' }, 'x')).toEqual([])
  })

  it('a task put off moves what waits for it and is hindered till then', () => {
    const finish = () => {
      const { calendar } = planNow(state(), NOW)
      return calendar.ok ? calendar.value.finish : Number.NaN
    }
    const before = finish()
    editRow('tasks', 'panels', { notBefore: '2026-12-24' }, 'put off')
    expect(planNow(state(), NOW).hindrances.get('panels')).toEqual(['putOff'])
    expect(finish() - before).toBeGreaterThan(14 * 24 * 60)
    expect(calendarFile(state(), NOW)).toMatch(/SUMMARY:Heron: Cut the housing.s panels[\s\S]*DTSTART:2026(1224|1225|1226)/)
  })
})

describe('tasks from the machine', () => {
  it('come behind those that are there; the way back behind the change-over', () => {
    open(plover().bench)
    const there = inOrder(state().plan.tasks)
    takeWayBack()
    const all = inOrder(state().plan.tasks)
    expect(all.slice(0, there.length)).toEqual(there)
    expect(all.at(-1)).toContain('Put the router’s settings back')
  })

  it('follow the kinematics and what is wanted of an empty bench', () => {
    open(emptyBench('e', 'Bare', '2026-01-01T00:00:00.000Z'))
    takeUsualTasks()
    expect(inOrder(state().plan.tasks)).toContain('Slip the slot nuts in')
    expect(inOrder(state().plan.tasks).join()).not.toContain('rotary')
    undo()
    expect(state().plan.tasks).toEqual({})
  })
})

it('what is written into a machine before the first tick goes back too, from when the change-over was planned', () => {
  open(setAt(plover().bench, 'plan.changeOver', '2026-11-20T09:00:00.000Z'))
  const wrote = (at: string, old: string, now: string): BenchRecord =>
    ({ at, stage: 'controller', title: writtenTitle('X steps', old, now), note: '' }) as BenchRecord
  useBenchStore.setState({ records: [wrote('2026-11-19T10:00:00.000Z', '390.000', '400.000')] })
  expect(settingsToPutBack()).toEqual([])
  useBenchStore.setState({ records: [wrote('2026-11-20T10:00:00.000Z', '400.000', '401.200')] })
  expect(settingsToPutBack().map(({ before, now }) => [before, now])).toEqual([['400.000', '401.200']])
  // A step that was begun before it was planned counts from there.
  beginTask(Object.keys(state().plan.tasks)[0] ?? '')
  expect(state().plan.tasks[Object.keys(state().plan.tasks)[0] ?? '']?.begun).toMatch(/^\d{4}-\d\d-\d\dT\d\d:\d\d:00$/)
})

it('a step whose picture cannot be read is done all the same, and says that nothing was written down', async () => {
  const gone = new File(['x'], 'panel.png', { type: 'image/png' })
  gone.arrayBuffer = () => Promise.reject(new DOMException('moved', 'NotReadableError'))
  const records = useBenchStore.getState().records.length
  expect(reasonOf(await tickTask('panels', 'all true', [gone]))).toMatch(
    /^“panel\.png” cannot be read any more: .* Nothing was written down\.$/,
  )
  expect(state().plan.tasks['panels']?.done).not.toBe('')
  expect(useBenchStore.getState().records).toHaveLength(records)
})

describe('parts from the machine', () => {
  const number = (id: string, ...args: string[]) => shownNumber(engineFor(state()).byId(id, args).result) ?? Number.NaN

  it('are what its lengths ask for and the list does not have; once taken they are asked for no more', () => {
    const names = () => machineParts(state()).map((it) => it.name)
    // Heron's list has its bars and a roll of belt; plates it has under other names.
    expect(names().join()).not.toContain('Bar ')
    expect(names().join()).not.toContain('Belt ')
    removeRow('parts', 'belt', 'belt away')
    const belt = machineParts(state()).find((it) => it.name.startsWith('Belt along Y'))
    const ordered = Math.ceil(number('plan.beltToOrder', axisIds(state())[1] ?? ''))
    expect(belt).toMatchObject({ count: 2, state: 'needed', covers: 'belt', lengthMm: ordered })
    expect(belt?.name).toContain(`${ordered}\u00a0mm`)
    addMachineParts(machineParts(state()))
    expect(names()).toEqual([])
    undo()
    removeRow('parts', 'bars', 'bars away')
    expect(machineParts(state())[0]).toMatchObject({ count: number('plan.barsNeeded'), covers: 'bars' })
  })

  it('of a retrofit are one plate; of a bench without travel nothing that rests on it', () => {
    open(plover().bench)
    expect(machineParts(state()).map((it) => it.name)).toEqual([
      'Plate that holds the head, 90\u00a0mm × 80\u00a0mm, 8\u00a0mm thick',
    ])
    open(emptyBench('e', 'Bare', '2026-01-01T00:00:00.000Z'))
    expect(machineParts(state()).map((it) => it.name.split(',')[0])).toEqual([
      ...['Carriage plate', 'Gantry end plate', 'Stepper motor', 'Pulley', 'Idler'],
      ...['Diode head', 'Controller', 'Supply', 'End switch'],
    ])
  })
})

it('a CSV is taken in one step behind what is there, and the list goes out as it stands', async () => {
  const before = inOrder(state().plan.parts)
  expect(await partsFromCsv(csv('name,count\nKnob,2\nNut,many\n'))).toMatchObject([{ code: 'bad-row', line: 3 }])
  expect(inOrder(state().plan.parts)).toEqual([...before, 'Knob'])
  expect((await partsToCsv()).trim().split('\n').at(-1)).toBe('Knob,,2,needed,0,,,')
  undo()
  expect(inOrder(state().plan.parts)).toEqual(before)
  expect(await partsFromCsv(csv('no columns here'))).toMatchObject([{ code: 'no-name-column' }])
})

it('the way of the head in the picture is that of its last real move, not of a trembling hand', () => {
  const way = () => useSession.getState().headWay
  const drawn = { x: 100, y: 100 }
  moveHead({ x: 103, y: 99 }, drawn)
  expect(way()).toBeNull()
  moveHead({ x: 120, y: 100 }, { x: 103, y: 99 })
  expect(way()).toEqual({ x: 20, y: 0 })
  moveHead({ x: 121, y: 101 }, { x: 120, y: 100 })
  expect(way()).toEqual({ x: 20, y: 0 })
})

it('a row that is added stands behind the others', () => {
  addRow('joints', { name: 'Lid', count: 4, thread: 'M4', stackMm: 6, into: 'nut', holeDepthMm: null }, 'a joint')
  expect(inOrder(state().plan.joints).at(-1)).toBe('Lid')
})
