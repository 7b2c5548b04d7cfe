import { describe, expect, it } from 'vitest'
import { tryFaults } from './linkSuite'

describe.each(['stand-in', 'cable'] as const)('over the %s', (over) => {
  it('a whole link burns; over a faulty one the beam is off first, and nothing untrue is said or written down', async () => {
    const { clean, tried, of, wrong } = await tryFaults(over, 120)
    expect(clean).toMatchObject({ end: { kind: 'burnt' }, ranToItsEnd: true, untrueOff: 0, outAfterFault: [] })
    expect([tried, wrong]).toEqual([process.env['FAULTS'] === 'all' ? of : 120, []])
    if (process.env['FAULTS'] === 'all') console.log(`link: ${tried} of ${of} faults tried, ${wrong.length} failed`)
  }, 240_000)
})
