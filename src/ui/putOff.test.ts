import { describe, expect, it, vi } from 'vitest'
import { putOff } from './putOff'

/** A load that is answered by hand. */
function byHand() {
  const answers: { readonly come: (it: string) => void; readonly fail: (error: unknown) => void }[] = []
  const load = vi.fn(() => new Promise<string>((come, fail) => answers.push({ come, fail })))
  return { load, answers, part: putOff(load) }
}

describe('code that was put off', () => {
  it('is fetched once, however many ask, and stays', async () => {
    const { load, answers, part } = byHand()
    expect(part.standing()).toEqual({ kind: 'away' })
    const asked = [part.fetch(), part.fetch()]
    expect([part.standing().kind, load.mock.calls.length]).toEqual(['coming', 1])
    answers[0]?.come('editor')
    await Promise.all(asked)
    await part.fetch()
    expect([part.standing(), load.mock.calls.length]).toEqual([{ kind: 'here', it: 'editor' }, 1])
  })

  it('that cannot be fetched says why, throws at nobody, and comes when it is asked for again', async () => {
    const { answers, part } = byHand()
    const first = part.fetch()
    answers[0]?.fail(new TypeError('Failed to fetch'))
    await expect(first).resolves.toBeUndefined()
    expect(part.standing()).toEqual({ kind: 'failed', message: 'Failed to fetch' })
    const second = part.fetch()
    expect(part.standing()).toEqual({ kind: 'coming' })
    answers[1]?.come('editor')
    await second
    expect(part.standing()).toEqual({ kind: 'here', it: 'editor' })
  })

  it('tells each change to those who listen, and to nobody who has stopped', async () => {
    const { answers, part } = byHand()
    const seen: string[] = []
    const stop = part.listen(() => seen.push(part.standing().kind))
    const coming = part.fetch()
    answers[0]?.fail('no')
    await coming
    stop()
    const again = part.fetch()
    answers[1]?.come('editor')
    await again
    expect(seen).toEqual(['coming', 'failed'])
  })

  it('stands as the same object while nothing changes, so that a page is not drawn again for nothing', () => {
    const { part } = byHand()
    expect(part.standing()).toBe(part.standing())
  })
})
