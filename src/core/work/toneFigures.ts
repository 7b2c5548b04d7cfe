import { figureOf, NotYet, subjectOf } from '../bench'
import { bareToneOf, lightByPower, USUAL_LAW } from '../burn'
import { toneLaw } from '../testcard'
import { burningOf } from './burning'
import type { WorkBench } from './figures'
import { tonedBy, type Toned } from './toning'

/** Pictures that are burnt. */
const aPicture = subjectOf<WorkBench>()('picture that is burnt', ({ work }): [pieceId: string, wayId: string][] =>
  Object.entries(work.pieces).flatMap(([pieceId, { kind, isIn, ways }]) =>
    kind !== 'picture' || isIn === 'no'
      ? []
      : Object.entries(ways)
          .filter(([, it]) => it.does === 'fill')
          .map(([wayId]): [string, string] => [pieceId, wayId]),
  ),
)

/** How a picture's greys become burns, and whether the material's own tones were learnt. */
export interface PictureTones extends Toned {
  readonly isLearnt: boolean
}

export const pictureTones = figureOf<WorkBench>()({
  id: 'work.pictureTones',
  of: aPicture,
  label: 'Powers for the greys of a picture',
  quantity: 'lightness',
  formula: 's(Y)',
  symbols: {},
  source:
    'Black is the darkest that the setting reaches, white the bare material, even in L* between; the inverse of the law learnt of the material, by the power curve. Without a card a usual law stands in (common practice).',
  doubt: { none: 'A table.' },
  work(view, pieceId: string, wayId: string): PictureTones {
    const way = view.rows(({ work }) => work.pieces[pieceId]?.ways[wayId])
    if (way === undefined) throw new NotYet('it was taken out of the work order')
    const material = view.rows(({ work }) => work.material)
    const settings = view.rows(({ burns }) => burns.materials[material]?.settings ?? {})
    const setting = burningOf({ material }, { [material]: { settings } }, way)
    const learnt = learntOf(() => view.figure(toneLaw, material).law)
    const bare = view.rows(({ burns }) => burns.materials[material]?.bareTone)
    const law = learnt ?? {
      ...USUAL_LAW,
      bare: bareToneOf(bare === undefined ? { bareTone: { value: null } } : { bareTone: bare }),
    }
    const light = lightByPower(view)
    const toned = tonedBy({
      kind: way.toning,
      law,
      watts: view.bench.optics.power,
      lightAt: light.at,
      shareFor: (it) => learntOf(() => light.shareFor(it)),
      ...setting,
    })
    return { ...toned, isLearnt: learnt !== null }
  },
})

/** What is known by now; null where it is not. */
function learntOf<T>(work: () => T): T | null {
  try {
    return work()
  } catch (error) {
    if (error instanceof NotYet) return null
    throw error
  }
}
