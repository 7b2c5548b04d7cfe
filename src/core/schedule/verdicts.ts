import { valuesOf, verdictOf } from '../bench'
import { beltsOfMachine, type MotionBench } from '../motion'
import { MATERIALS, neverBurn, underCondition } from '../safety'
import { budgetLeft, orderedMargin, spent, toSpend, unordered } from './costFigures'
import { barsNeeded, beltHold, guidesNeeded, HOLD, stockLeft } from './cutFigures'
import { bagMargin, jointsUnfit, screwsMissing, unfitMargin } from './fastenerFigures'
import { materialsMargin, reachMargin } from './figures'
import { edgeMargin, headRoom } from './boardFigures'
import { kitMargin, kitMissing } from './kitFigures'
import type { PlanBench } from './slice'

const verdict = verdictOf<PlanBench & MotionBench>()

export const everythingOrdered = verdict({
  id: 'plan.everythingOrdered',
  stage: 'plan',
  margin: orderedMargin,
  when: ({ plan: { parts } }) => Object.keys(parts).length > 0,
  goodFrom: 0,
  stopBelow: -Infinity,
  say: ({ mark, figure }) =>
    mark === 'good'
      ? { head: 'Everything is ordered', why: 'No part is left that nobody has ordered.' }
      : {
          head: 'Parts are not ordered',
          why: `${figure(unordered)} of them, ${figure(toSpend)} in all. What waits for them is not planned: the parts list has them.`,
          next: { words: 'Order what is needed, and give it its day', part: 'plan/parts' },
        },
})

const GOAL_OF = { X: 'workWidth', Y: 'workDepth', Z: 'workHeight' } as const

function goalOf(letter: string): 'workWidth' | 'workDepth' | 'workHeight' {
  return GOAL_OF[letter as keyof typeof GOAL_OF]
}

/** A centimetre beyond the work is good, for approach and clamps; less than the work is a stop (common practice). */
export const workFits = verdict({
  id: 'plan.workFits',
  stage: 'plan',
  margin: reachMargin,
  when: ({ plan: { goals } }, letter) => goals[goalOf(letter)].value !== null,
  goodFrom: 10,
  stopBelow: 0,
  short: 'look',
  say: ({ mark, args, figure, fact }) => {
    const [letter] = args
    const path = `plan.goals.${goalOf(letter)}`
    const [left, work] = [figure(reachMargin, letter), fact(path)]
    const next = { words: 'Change the largest work, or the travel', path }
    switch (mark) {
      case 'good':
        return { head: `${letter} reaches the largest work`, why: `${left} beyond its ${work}.` }
      case 'look':
        return {
          head: `${letter} just reaches the largest work`,
          why: `${left} beyond its ${work}: little to approach and clamp.`,
          next,
        }
      case 'stop':
        return {
          head: `${letter} does not reach the largest work`,
          why: `${left} against its ${work}. More travel, or smaller work.`,
          next,
        }
      case 'unknown':
        return { head: `${letter} reaches the largest work?`, why: `Not known yet: ${left} beyond its ${work}.`, next }
    }
  },
})

export const withinBudget = verdict({
  id: 'plan.withinBudget',
  stage: 'plan',
  margin: budgetLeft,
  when: ({ plan: { goals } }) => goals.budget.value !== null,
  goodFrom: 0,
  stopBelow: -Infinity,
  say: ({ mark, figure, fact }) => {
    const sum = `${figure(spent)} spent and ${figure(toSpend)} to spend, of ${fact('plan.goals.budget')}`
    return mark === 'good'
      ? { head: 'Within what it may cost', why: `${sum}; ${figure(budgetLeft)} is left.` }
      : {
          head: 'It costs more than it may',
          why: `${sum}.`,
          next: { words: 'Change what it may cost', path: 'plan.goals.budget' },
        }
  },
})

/** A material that must never be burnt is a stop; one under a condition is named. */
export const materialsBurn = verdict({
  id: 'plan.materialsBurn',
  stage: 'plan',
  margin: materialsMargin,
  when: ({ plan: { goals } }) => Object.keys(goals.materials).length > 0,
  goodFrom: 0,
  stopBelow: 0,
  say: ({ mark, keys }) => {
    const ids = keys('plan.goals.materials')
    const named = (of: readonly (keyof typeof MATERIALS)[]): string =>
      of.map((id) => `${MATERIALS[id].name}: ${MATERIALS[id].why}`).join('; ')
    if (mark === 'stop') {
      return {
        head: 'Never burn this',
        why: `${named(neverBurn(ids))}. It does not belong into the shed’s scrap box either.`,
        next: { words: 'Take it off what is to be burnt', part: 'plan/build' },
      }
    }
    const conditions = underCondition(ids)
    return {
      head: 'None of the materials is one never to burn',
      why:
        conditions.length === 0
          ? 'What is not on the list is not known, and is not burnt.'
          : `With a condition: ${named(conditions)}.`,
    }
  },
})

const STOCK_WORDS = { bars: 'bars', guides: 'rails or shafts' } as const

export const stockEnough = verdict({
  id: 'plan.stockEnough',
  stage: 'plan',
  margin: stockLeft,
  when: ({ plan }, stock) => valuesOf(plan.parts).some(({ covers }) => covers === stock),
  goodFrom: 0,
  stopBelow: -Infinity,
  say: ({ mark, args, figure, margin }) => {
    const stock = args[0] === 'guides' ? 'guides' : 'bars'
    const needed = figure(stock === 'bars' ? barsNeeded : guidesNeeded)
    return mark === 'good'
      ? { head: `Enough ${STOCK_WORDS[stock]} are listed`, why: `The machine needs ${needed}.` }
      : {
          head: `Too few ${STOCK_WORDS[stock]} are listed`,
          why: `The machine needs ${needed}; the list is ${-margin} short. Order more, or cut from longer stock.`,
          next: { words: 'Change the length of the stock', path: `plan.${stock === 'bars' ? 'stock' : 'guideStock'}.length` },
        }
  },
})

/** A hand's width of belt to pull and clamp by is good; a belt that does not come round is a stop (common practice). */
export const beltReaches = verdict({
  id: 'plan.beltReaches',
  stage: 'plan',
  margin: beltHold,
  when: ({ motion, plan }) => valuesOf(plan.parts).some(({ covers }) => covers === 'belt') && beltsOfMachine(motion).length > 0,
  goodFrom: HOLD,
  stopBelow: 0,
  say: ({ mark, figure }) => {
    const left = figure(beltHold)
    switch (mark) {
      case 'good':
        return { head: 'The listed belt reaches', why: `${left} left to hold each length by.` }
      case 'look':
        return {
          head: 'The listed belt hardly reaches',
          why: `${left} left to pull and clamp each length by; a hand’s width is usual. Order a longer one, or lay it out before you cut.`,
          next: { words: 'Look at the belts on the list', part: 'plan/parts' },
        }
      case 'stop':
        return {
          head: 'The listed belt does not reach',
          why: `${left} left for each length. Order a longer one before it is cut.`,
          next: { words: 'Look at the belts on the list', part: 'plan/parts' },
        }
      case 'unknown':
        return {
          head: 'Does the listed belt reach?',
          why: `Not known yet: ${left} left to hold each length by.`,
          next: { words: 'Look at the belts on the list', part: 'plan/parts' },
        }
    }
  },
})

export const screwsFit = verdict({
  id: 'plan.screwsFit',
  stage: 'plan',
  margin: unfitMargin,
  when: ({ plan: { joints } }) => Object.keys(joints).length > 0,
  goodFrom: 0,
  stopBelow: 0,
  short: 'look',
  say: ({ mark, figure }) =>
    mark === 'good'
      ? { head: 'Each joint has its screw', why: 'A standard length holds, and clears the bottom where the hole is blind.' }
      : {
          head: 'A joint has no standard screw',
          why: `${figure(jointsUnfit)} of them: the section on Fasteners says what is wrong, and which washer or depth would do.`,
          next: { words: 'Choose another depth or stack for the joint', part: 'plan/fasteners' },
        },
})

export const bagEnough = verdict({
  id: 'plan.bagEnough',
  stage: 'plan',
  margin: bagMargin,
  when: ({ plan: { joints, bag } }) => Math.min(Object.keys(joints).length, Object.keys(bag).length) > 0,
  goodFrom: 0,
  stopBelow: -Infinity,
  say: ({ mark, figure }) =>
    mark === 'good'
      ? { head: 'The bag has every screw', why: 'Each joint finds its own, however they are shared out.' }
      : {
          head: 'Screws are missing from the bag',
          why: `${figure(screwsMissing)} of them. Fasteners lists which, with what is left over; without them the joint cannot be begun.`,
          next: { words: 'Order the screws that are missing', part: 'plan/fasteners' },
        },
})

export const kitComplete = verdict({
  id: 'plan.kitComplete',
  stage: 'plan',
  margin: kitMargin,
  when: ({ plan }) => Object.keys(plan.counted).length > 0,
  goodFrom: 0,
  stopBelow: 0,
  short: 'look',
  say: ({ mark, figure }) => {
    const next = { words: 'See what is missing, and write to whoever sold it', part: 'plan/kit' }
    if (mark === 'good')
      return { head: 'The kit is complete', why: 'Of each kind at least as many were counted as the machine takes.' }
    return {
      head: mark === 'unknown' ? 'Is the kit complete?' : 'The kit lacks parts',
      why: `${figure(kitMissing)} of them, as far as such machines are alike: look under “What is in the bag” before a corner is closed.`,
      next,
    }
  },
})

export const edgeWide = verdict({
  id: 'plan.edgeWide',
  stage: 'plan',
  margin: edgeMargin,
  when: ({ plan }) => plan.boards.edge.value !== null,
  goodFrom: 0,
  stopBelow: 0,
  short: 'look',
  say: ({ mark, figure, fact }) => {
    const from = fact('plan.boards.fromEnd')
    if (mark === 'good' || mark === 'look') return { head: 'The outer screws stand far enough in', why: `${from} from the ends.` }
    return {
      head: mark === 'unknown' ? 'Outer screws far enough in?' : 'The outer screws may split the board',
      why: `${from} from the ends, ${figure(edgeMargin)} against the least that such a board wants. Further in, or thinner screws.`,
      next: { words: 'Move the outer screws', path: 'plan.boards.fromEnd' },
    }
  },
})

export const fitsUnder = verdict({
  id: 'plan.fitsUnder',
  stage: 'plan',
  margin: headRoom,
  when: ({ plan: { room } }) => room.free.value !== null && room.machine.value !== null,
  goodFrom: 0,
  stopBelow: 0,
  say: ({ mark, figure, fact }) => {
    const left = figure(headRoom)
    if (mark === 'good' || mark === 'look')
      return { head: 'It stands under what is above it', why: `${left} of head-room is left.` }
    return {
      head: mark === 'unknown' ? 'Head-room enough?' : 'It does not fit where it is to stand',
      why: `${left} of head-room under ${fact('plan.room.free')}. Another place, a lower head, or a lid that slides.`,
      next: { words: 'Measure the machine again', path: 'plan.room.machine' },
    }
  },
})
