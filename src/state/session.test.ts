import { afterAll, beforeEach, describe, expect, it, vi } from 'vitest'
import { addressOfFact } from './address'
import {
  askCautions,
  dropDraft,
  endCautions,
  isOnNameplate,
  keepDraft,
  leaveCautions,
  NEXT_RUN,
  revealFact,
  tickCaution,
  useSession,
} from './session'

const first = useSession.getState()
let there = true
const fold = { setAttribute: vi.fn() }
vi.stubGlobal('document', { querySelector: () => (there ? { closest: () => fold } : null) })
vi.stubGlobal('CSS', { escape: (it: string) => it })
vi.stubGlobal('requestAnimationFrame', (act: () => void) => act())
beforeEach(() => {
  there = true
  useSession.setState(first)
})
afterAll(() => vi.unstubAllGlobals())

describe('a fact that is asked for', () => {
  it.each([
    ['motion.axes.y.travel', 'motion/machine', { axisId: 'y' }],
    ['motion.axes.x.holdingTorque', 'motion/drive', { axisId: 'x' }],
    ['motion.axes.x.toneA', 'motion/belts', { axisId: 'x' }],
    ['motion.racking.left', 'motion/square', {}],
    ['motion.heights.h1.height', 'motion/square', {}],
    ['motion.frame.guides', 'plan/parts', {}],
    ['plan.goals.budget', 'plan/build', {}],
    ['plan.fits.shaft', 'plan/fasteners', {}],
    ['electrical.fullPower', 'power/signal', {}],
    ['controller.axes.x.steps', 'controller/settings', {}],
    ['calibrate.markPower', 'controller/ramp', {}],
    ['calibrate.startX', 'controller/run', { runId: NEXT_RUN }],
    ['calibrate.runs.r1.readings.x-like-short-1', 'controller/run', { runId: 'r1' }],
    ['instruments.calipers.scale', 'controller/run', {}],
  ])('%s has its address, is brought out there, and its editor opens', (path, address, shown) => {
    expect(addressOfFact('b', path)).toBe(`/bench/b/${address}`)
    revealFact(path)
    expect(useSession.getState()).toMatchObject({ ...shown, nameplate: null, editing: { path, place: 'given' } })
    expect(fold.setAttribute).toHaveBeenCalledWith('open', '')
  })

  it('on the nameplate opens its cell', () => {
    revealFact('optics.power')
    expect(useSession.getState()).toMatchObject({ nameplate: 'beam', editing: { path: 'optics.power', place: 'nameplate' } })
    expect([isOnNameplate('safety.beamAtEyewear'), isOnNameplate('motion.wantedSpeed')]).toEqual([true, false])
  })

  it('that never comes is not waited for without an end', () => {
    there = false
    revealFact('motion.wantedSpeed')
    expect(useSession.getState().editing?.path).toBe('motion.wantedSpeed')
  })
})

describe('the cautions before a beam', () => {
  it('keep their ticks, and the way back, while something that they ask for is entered', async () => {
    const asked = askCautions()
    tickCaution('air')
    tickCaution('stop')
    tickCaution('air')
    leaveCautions('/bench/b/controller/ramp')
    expect(await asked).toBe(false)
    const { cautions, cautionsTicked, burnFrom } = useSession.getState()
    expect([cautions, cautionsTicked, burnFrom]).toEqual(['not asked', ['stop'], '/bench/b/controller/ramp'])
    void askCautions()
    endCautions(false)
    expect(useSession.getState().burnFrom).toBeNull()
  })

  it('are asked for until they are taken, then not again in this session', async () => {
    const asked = askCautions()
    expect(useSession.getState().cautions).toBe('asking')
    endCautions(false)
    expect(await asked).toBe(false)
    const again = askCautions()
    endCautions(true)
    expect([await again, await askCautions(), useSession.getState().cautions]).toEqual([true, true, 'taken'])
  })

  it('asked for twice answer the first with no: no program leaves on an old question', async () => {
    useSession.setState({ cautions: 'not asked' })
    const old = askCautions()
    const next = askCautions()
    expect(await old).toBe(false)
    endCautions(true)
    expect(await next).toBe(true)
  })
})

it('what is half typed is kept for its own fact until it is dropped', () => {
  keepDraft('motion.wantedSpeed', { typed: '12 fast', origin: 'stated', doubtTyped: '', instrumentId: '', day: '' })
  keepDraft('plan.goals.budget', { typed: 'little', origin: 'stated', doubtTyped: '', instrumentId: '', day: '' })
  dropDraft('motion.wantedSpeed')
  expect(Object.keys(useSession.getState().drafts)).toEqual(['plan.goals.budget'])
})
