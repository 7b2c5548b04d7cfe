import { figureOf, NotYet, type View } from '../bench'
import type { OpticsBench } from './slice'

const figure = figureOf<OpticsBench>()
/** Loss of light from which a lens is cleaned (common practice). */
const CLEAN_FROM = 0.1

/** Light as it was read, in the order of reading. @throws {NotYet} with fewer than two readings. */
function lightsOf(view: View<OpticsBench>): readonly number[] {
  const { lights } = view.bench.optics
  const read = Object.keys(lights)
    .filter((id) => view.asEntered.optics.lights[id] !== undefined && !Number.isNaN(view.asEntered.optics.lights[id].light))
    .map((id) => lights[id])
    .sort((p, q) => (p?.order ?? 0) - (q?.order ?? 0))
    .map((it) => it?.light ?? 0)
  if (read.length < 2) throw new NotYet('read the light at full power twice, some hours of work apart')
  return read
}

export const lightLost = figure({
  id: 'optics.lightLost',
  label: 'Light lost since the best reading',
  quantity: 'ratio',
  show: { metric: 'percent', inch: 'percent' },
  formula: 'e = 1 - P_n / \\max P_i',
  symbols: {},
  source: 'By definition; readings of one meter, so that its scale does not matter.',
  doubt: 'nudge',
  work(view): number {
    const read = lightsOf(view)
    return 1 - (read.at(-1) ?? 0) / Math.max(...read)
  },
})

export const cleanRoom = figure({
  id: 'optics.cleanRoom',
  label: 'Light lost, under 10 % by',
  quantity: 'ratio',
  show: { metric: 'percent', inch: 'percent' },
  formula: 'm = 0.1 - \\v{e}',
  symbols: { e: '=optics.lightLost' },
  source: 'A tenth less light is seen in the tone (common practice).',
  doubt: 'nudge',
  work: (view): number => CLEAN_FROM - view.figure(lightLost),
})
