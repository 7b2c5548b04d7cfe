import { verdictOf } from '../bench'
import type { CutBench } from '../burn'
import { bookMargin } from './bookFigures'
import type { MaterialId } from './materialIds'
import { isUsual, MATERIALS } from './materials'

const verdict = verdictOf<CutBench>()

export const bookBurnable = verdict({
  id: 'safety.bookBurnable',
  stage: 'burns',
  part: 'cut',
  margin: bookMargin,
  // What is burnt as usual need not be said.
  when: ({ burns }, id) => !isUsual(burns.materials[id]?.kind ?? ''),
  goodFrom: 0,
  stopBelow: 0,
  hazard: true,
  say: ({ mark, args: [id], word }) => {
    const name = word(`burns.materials.${id}.name`)
    const kind = word(`burns.materials.${id}.kind`)
    const known = kind in MATERIALS ? MATERIALS[kind as MaterialId] : null
    const at = { part: 'burns/cut', thing: `burns.materials.${id}` }
    if (known === null || mark === 'unknown') {
      return {
        head: `What is ${name}?`,
        why: 'Not known yet: what nobody knows is not burnt, and no program is handed out for it.',
        next: { words: `Say what ${name} is`, ...at },
      }
    }
    if (known.burning === 'never') {
      return {
        head: `Never burn ${name}`,
        why: `${known.name}: ${known.why}. It does not belong into the scrap box either.`,
        next: { words: `Take ${name} out of the book`, ...at },
      }
    }
    return {
      head: `${name} is burnt on a condition`,
      why: `On a condition: ${known.why}. Its data sheet comes first.`,
    }
  },
})
