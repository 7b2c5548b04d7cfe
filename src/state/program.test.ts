import { readFileSync } from 'node:fs'
import { afterAll, beforeEach, describe, expect, it, vi } from 'vitest'
import { machineLimits } from '../core/document'
import { heron } from '../data/heron'
import { engineOf } from './evaluate'
import { storageHere, workerHere } from '../../tests/workerHere'

storageHere()
workerHere(() => import('../workers/program.worker'))
const { closeProgram, openProgram, surveyAgain, useProgram } = await import('./program')
const label = readFileSync('tests/fixtures/label.nc', 'utf8')
const limits = machineLimits(engineOf(heron().bench))
const program = () => useProgram.getState()

beforeEach(() => closeProgram())
afterAll(() => vi.unstubAllGlobals())

describe('a program that is dropped on the window', () => {
  it('is read and timed away from the page, and not kept; another machine times it anew', async () => {
    await openProgram(new File([label], 'label.nc'), limits)
    expect(program()).toMatchObject({ name: 'label.nc', reading: null, refused: [] })
    const first = program().survey
    expect(first).not.toBeNull()
    await surveyAgain(limits)
    expect(program().survey).toBe(first)
    const slow = limits === null ? null : { ...limits, motors: limits.motors.map((it) => ({ ...it, speed: 5 })) }
    await surveyAgain(slow)
    expect(program().survey).not.toBe(first)
    expect(JSON.stringify(program().survey)).not.toContain('"drawing":{')
  })

  it('that is none is read all the same, with what is wrong and where', async () => {
    await openProgram(new File(['this is a shopping list\nbread, 2\n'], 'list.txt'), limits)
    const { survey, refused } = program()
    expect(refused).toEqual([])
    expect(JSON.stringify(survey)).toMatch(/"line":1/)
  })

  it('of more than 256 MB is refused unread', async () => {
    const large = new File([], 'relief.nc')
    Object.defineProperty(large, 'size', { value: 300 * 1024 * 1024 })
    await openProgram(large, limits)
    expect(program()).toMatchObject({ survey: null, refused: [{ message: expect.stringContaining('256 MB') as string }] })
  })

  it('is given up at once when another is opened, or it is put away', async () => {
    const reading = openProgram(new File([label], 'first.nc'), limits)
    const other = openProgram(new File([label], 'second.nc'), limits)
    await other
    expect(program().name).toBe('second.nc')
    closeProgram()
    expect(program()).toMatchObject({ name: '', survey: null })
    void reading
  })
})
