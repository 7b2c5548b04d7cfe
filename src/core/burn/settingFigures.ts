import { figureOf, NotYet, subjectOf, type View } from '../bench'
import { learnCut } from './cutLearning'
import { lightByPower, triesOfMaterial, type CutBench } from './figures'
import { maskChanceOf } from './maskFigures'
import type { BookSetting, Want } from './slice'

const figure = figureOf<CutBench>()

/** Settings of the book that are for one of these. */
export function settingsFor(...wants: readonly Want[]) {
  return subjectOf<CutBench>()(`setting for ${wants.join(' or ')}`, ({ burns }): [materialId: string, settingId: string][] =>
    Object.entries(burns.materials).flatMap(([id, { settings }]) =>
      Object.entries(settings)
        .filter(([, it]) => wants.includes(it.wanted))
        .map(([key]): [string, string] => [id, key]),
    ),
  )
}

/** A setting as it is kept. @throws {NotYet} where it was taken out. */
export function settingOf(view: View<CutBench>, materialId: string, settingId: string): BookSetting {
  const setting = view.rows(({ burns }) => burns.materials[materialId]?.settings[settingId])
  if (setting === undefined) throw new NotYet('this setting was taken out of the book')
  return setting
}

export const settingChance = figure({
  id: 'burn.settingChance',
  of: settingsFor('cut', 'mask'),
  label: 'Chance that this setting does what it is for',
  quantity: 'ratio',
  show: { metric: 'percent', inch: 'percent' },
  formula: 'p(v)',
  symbols: {},
  source: 'What is learnt of this material now, at the power, speed and passes that are kept.',
  doubt: { none: 'It is a chance itself.' },
  work(view, materialId: string, settingId: string): number {
    const { wanted, power, speed, passes } = settingOf(view, materialId, settingId)
    const energy = (lightByPower(view).at(power) * passes) / speed
    if (wanted === 'mask') return maskChanceOf(view, materialId)(energy)
    const learnt = learnCut(triesOfMaterial(view, materialId))
    if (learnt === null) throw new NotYet('try a line that comes through, and one that does not')
    return learnt.chance(energy)
  },
})

export const settingDose = figure({
  id: 'burn.settingDose',
  of: settingsFor('exposure'),
  label: 'Dose of this setting',
  quantity: 'radiantExposure',
  show: { metric: 'mJ/cm2', inch: 'mJ/cm2' },
  formula: 'H = P(s)\\,n/(v\\,p)',
  symbols: {},
  source: 'Handbook of the trade: P/(v·pitch), with the optical power and the power curve as they are now.',
  doubt: 'nudge',
  work(view, materialId: string, settingId: string): number {
    const { power, speed, pitch, passes } = settingOf(view, materialId, settingId)
    return (view.bench.optics.power * lightByPower(view).at(power) * passes) / (speed * pitch)
  },
})
