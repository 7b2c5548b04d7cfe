import { verdictOf } from '../bench'
import { away, leaves, placeRoom, reachThere, type ReachView } from './figures'

const verdict = verdictOf<ReachView>()

export const placeBeyond = verdict({
  id: 'reach.placeBeyond',
  stage: 'safety',
  part: 'reach',
  margin: placeRoom,
  goodFrom: 0,
  stopBelow: 0,
  hazard: true,
  say: ({ mark, args: [id], figure, word }) => {
    const name = word(`reach.places.${id}.name`)
    const isOpen = word('reach.kept.chosen') === 'open'
    if (mark === 'unknown')
      return {
        head: `Does light that hurts come to ${name}?`,
        why: 'Not known yet: where it is, what is burnt, or whether the box is shut.',
        next: { words: 'Say how it is burnt', path: 'reach.kept' },
      }
    const why = `The eyes there are ${figure(away, id)} from the work; what box, window and eyewear are proved to leave (${figure(leaves)}) reaches ${figure(reachThere, id)}, watched for 100 s.`
    if (mark === 'good')
      return {
        head: `By this sum nothing above the limit comes to ${name}`,
        why: `${why} It holds while the box stays as it was told, and for one spot; certified eyewear and local rules come first.`,
      }
    return {
      head: `${name} lies within the reach of the beam`,
      why,
      next: isOpen
        ? { words: 'Shut the box, or give eyewear to whoever is there', path: 'reach.kept' }
        : { words: 'See where the box lets light out', part: 'housing/ports' },
    }
  },
})
