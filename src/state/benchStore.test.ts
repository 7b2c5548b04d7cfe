import { beforeAll, beforeEach, describe, expect, it } from 'vitest'
import { consequences } from '../core/bench'
import { STAGE_IDS, type Bench } from '../core/document'
import { heron } from '../data/heron'
import { dragFact, editBench, openInStore, redo, setFact, shownBench, undo, useBenchStore } from './benchStore'
import { loadChecking } from './checking'
import { loadDomains } from './domains'
import { engineOf } from './evaluate'
import { reasonOf } from './told'

const { bench, records } = heron()
const state = () => useBenchStore.getState()
const speed = () => state().bench?.motion.wantedSpeed.value
const set = (value: number) =>
  setFact('motion.wantedSpeed', { ...bench.motion.wantedSpeed, value, typed: String(value) }, `speed ${value}`)

beforeAll(async () => {
  await loadDomains()
  await loadChecking()
})
beforeEach(() => openInStore({ bench, records, files: [], revision: 1, savedMarks: {} }, ''))

describe('undo (T12)', () => {
  it('takes back one edit a step and says which', () => {
    set(150)
    set(120)
    expect([undo(), speed()]).toEqual(['speed 120', 150])
    expect([undo(), speed()]).toEqual(['speed 150', 200])
    expect(undo()).toBeNull()
    expect([redo(), speed()]).toEqual(['speed 150', 150])
    set(90)
    expect(redo()).toBeNull()
  })

  it('makes records fresh again, for nothing was flagged', () => {
    const stale = () => consequences(engineOf(state().bench as Bench), state().records, STAGE_IDS).length
    const teeth = bench.motion.axes['x']!.pulleyTeeth
    setFact('motion.axes.x.pulleyTeeth', { ...teeth, value: 16, typed: '16' }, 'teeth')
    // The demo has one that is stale from the beginning: a cutting speed.
    expect(stale()).toBe(4)
    undo()
    expect(stale()).toBe(1)
  })

  it('does not take back records, nor what another bench was', () => {
    useBenchStore.setState({ records: [] })
    expect(undo()).toBeNull()
    expect(state().records).toEqual([])
  })
})

it('refuses a change that makes no valid bench, and leaves it as it was', () => {
  expect(reasonOf(editBench('x', (it) => ({ ...it, name: '' })))).toContain('A bench needs a name.')
  expect(reasonOf(set(-5))).toContain('motion.wantedSpeed.value')
  expect(state().bench).toBe(bench)
})

it('shows a drag over the document without saving it, in one object as long as it stands', () => {
  dragFact('motion.wantedSpeed', { ...bench.motion.wantedSpeed, value: 33 })
  expect(shownBench(state())?.motion.wantedSpeed.value).toBe(33)
  expect(shownBench(state())).toBe(shownBench(state()))
  expect([speed(), undo()]).toEqual([200, null])
})
