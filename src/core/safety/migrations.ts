import { asJson, thenBlank, thenChosen, thenGuess, withAt, withEach, type Json, type Migration } from '../bench'

export const safetyMigrations: readonly Migration[] = [
  {
    to: 7,
    why: 'eyewear is held against a second test, that it withstands the beam',
    up: (slice) => withAt(withAt(slice, 'beamAtEyewear', thenGuess(2, '2', 'mm', 1)), 'eyewearScale', thenGuess(0, '0', 'count')),
  },
  {
    to: 17,
    why: 'eyewear and window are worked from their labels; what was typed before stands as a label of that wavelength',
    up: ({ eyewearDensity, eyewearScale, ...rest }, bench) => {
      const { value } = asJson(asJson(bench['optics'])['wavelength'])
      const at = typeof value === 'number' ? String(value) : ''
      const density = entered(eyewearDensity)
      const scale = entered(eyewearScale)
      // Without a wavelength it stays as it was typed, and names none.
      const where = at === '' ? '' : ` ${at} nm`
      const claims = [density === 0 ? '' : `OD ${density}`, scale === 0 ? '' : `D LB${scale}`].filter((it) => it !== '')
      const worn = claims.length === 0 ? '' : `${claims.join(' + ')}${where}`
      const window = entered(asJson(asJson(bench['housing'])['window'])['density'])
      const pairs = withEach(asJson(bench['reach'])['glasses'], { proof: 'unsaid', certificate: '', filter: thenChosen('glass') })
      const typed = (order: number, name: string, label: string): Json => ({
        order,
        name,
        label,
        proof: 'unsaid',
        certificate: '',
        filter: thenChosen('glass'),
        light: thenBlank('percent'),
      })
      const next = Math.max(0, ...Object.values(pairs).map((it) => Number(asJson(it)['order']))) + 1
      return {
        ...rest,
        glasses: {
          ...pairs,
          ...(worn === '' ? {} : { wornBefore: typed(next, 'Worn before', worn) }),
          ...(window === 0 ? {} : { windowBefore: typed(next + 1, 'Window', `OD ${window}${where}`) }),
        },
        worn: worn === '' ? '' : 'wornBefore',
        window: window === 0 ? '' : 'windowBefore',
      }
    },
  },
]

/** What somebody had entered of a density; 0 where nobody had. */
function entered(fact: unknown): number {
  const { value, origin } = asJson(fact)
  return typeof value === 'number' && origin !== 'assumed' ? value : 0
}
