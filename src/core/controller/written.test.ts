import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { emptyBench } from '../document'
import { readWrittenTitle, sentTitle, settingsBefore, settingsFor, writtenTitle } from '.'

const { controller } = emptyBench('b', 'Plover', '2026-01-01T00:00:00.000Z')
const settings = settingsFor([
  { id: 'x', letter: 'X' },
  { id: 'y', letter: 'Y' },
])
const wrote = (at: string, label: string, old: string | null, now: string) => ({
  at: `2026-11-${at}:00.000Z`,
  stage: 'controller',
  title: writtenTitle(label, old, now),
})
const back = (records: ReturnType<typeof wrote>[], since = '') =>
  settingsBefore(settings, records, since, controller).map(({ setting, before, now, line }) => [setting.label, before, now, line])

it('the title of what was written says the label, the old value and the new one, whatever they are (seed 30)', () => {
  const label = fc.constantFrom(...settings.map((it) => it.label))
  const value = fc.double({ min: -1e6, max: 1e6, noNaN: true }).map((it) => it.toFixed(3))
  fc.assert(
    fc.property(label, fc.option(value), value, (name, old, now) => {
      expect(readWrittenTitle(writtenTitle(name, old, now))).toEqual({ label: name, old, now })
    }),
    { seed: 30 },
  )
  for (const title of ['Corners measured', 'Scale run: applied to X', 'a → b → c', 'no colon → 3']) {
    expect(readWrittenTitle(title), title).toBeNull()
  }
})

describe('what a change-over has to put back', () => {
  it('is the value before the first write, whatever was written since, with the line to type', () => {
    const records = [
      wrote('20T10:00', 'X steps', '400.000', '401.200'),
      wrote('20T10:05', 'X steps', '401.200', '400.800'),
      wrote('20T10:06', 'Full power word', '255', '1000'),
    ]
    expect(back(records)).toEqual([
      ['X steps', '400.000', '400.800', 'x/steps = 400.000'],
      ['Full power word', '255', '1000', 'beam/full = 255'],
    ])
  })

  it('is nothing where it stands as it stood, and not what was written before the change-over began', () => {
    const records = [
      wrote('02T09:00', 'Y steps', '80.000', '80.416'),
      wrote('20T10:00', 'X steps', '400.000', '401.200'),
      wrote('20T18:00', 'X steps', '401.200', '400.000'),
    ]
    expect(back(records, '2026-11-20T00:00:00.000Z')).toEqual([])
    expect(back(records).map(([label]) => label)).toEqual(['Y steps'])
  })

  it('is in the unit that the card counts in now, also where it was written in another', () => {
    const speed = { ...wrote('20T10:00', 'X top speed', '900.0', '12000.0'), note: 'Old value 900.0. In mm/min.' }
    const perSecond = { ...controller, speedUnit: 'mm/s' as const }
    const [it] = settingsBefore(settings, [speed], '', perSecond)
    expect([it?.before, it?.now, it?.line]).toEqual(['15.0', '200.0', 'x/speed = 15.0'])
    const [same] = settingsBefore(settings, [speed], '', { ...controller, speedUnit: 'mm/min' })
    expect(same?.line).toBe('x/speed = 900.0')
  })

  it('keeps what was sent and not confirmed: the machine may have it', () => {
    const sent = { at: '2026-11-20T10:00:00.000Z', stage: 'controller', title: sentTitle('X steps', '80.000', '80.416') }
    expect(settingsBefore(settings, [sent], '', controller).map(({ before, now }) => [before, now])).toEqual([
      ['80.000', '80.416 (not confirmed)'],
    ])
  })

  it('is said to be not known where nobody had read it before', () => {
    expect(back([wrote('20T10:00', 'Y travel', null, '180.0')])).toEqual([['Y travel', null, '180.0', null]])
  })
})
