import { useMemo } from 'react'
import { bareToneOf, cardCells, type CardShape } from '../../core/burn'
import type { Bench } from '../../core/document'
import { designTones, lightness, luminanceOf } from '../../core/testcard'
import { displayUnit, fromCore, unitOf, type UnitSystem } from '../../core/units'
import { cardShown, designOf, engineOf, useBenchStore, useBurnSeen, useCardPictures, useSession } from '../../state'
import type { CellFace } from './CardDrawing'
import { sayVariable } from './CardValue'

/** What the plate of the test card shows: one that was made, else the one that is designed. */
export interface ShownCard {
  readonly id: string | null
  readonly card: CardShape
  readonly bare: number
}

/** The card that is looked at; null while the book is empty. */
export function useShownCard(materialId: string | null): ShownCard | null {
  const bench = useBenchStore((it) => it.bench)
  const chosen = useSession((it) => it.cardId)
  return useMemo(
    () => (bench === null || materialId === null ? null : shownCard(bench, materialId, chosen)),
    [bench, materialId, chosen],
  )
}

function shownCard(bench: Bench, materialId: string, chosen: string | null): ShownCard | null {
  const material = bench.burns.materials[materialId]
  if (material === undefined) return null
  const bare = bareToneOf(material)
  const id = chosen === DESIGNED ? null : cardShown(bench, materialId, chosen)
  const made = id === null ? undefined : material.cards[id]
  if (made !== undefined) return { id, card: made, bare }
  const blank = { order: 0, at: '', originX: 0, originY: 0, cells: {} }
  return { id: null, card: { ...bench.burns.card, ...blank, code: 'DRAFT' }, bare }
}

/** In place of a card's id: the one that is being designed. */
export const DESIGNED = 'designed'

/** What each cell of a card shows: what was read of it; else what the law expects; else nothing. */
export function useFaces(
  materialId: string | null,
  shown: ShownCard | null,
  system: UnitSystem,
): Readonly<Record<string, CellFace>> {
  const bench = useBenchStore((it) => it.bench)
  return useMemo(
    () => (bench === null || materialId === null || shown === null ? {} : facesOf(bench, materialId, shown, system)),
    [bench, materialId, shown, system],
  )
}

function facesOf(bench: Bench, materialId: string, { id, card, bare }: ShownCard, system: UnitSystem) {
  const expected = id === null ? engineOf(bench).value(designTones, materialId).result : null
  const tones = new Map(expected?.known === true ? expected.value.map((it) => [it.id, it.tone]) : [])
  return Object.fromEntries(
    cardCells(card).map((cell): [string, CellFace] => {
      const place = `Cell ${cell.column + 1}/${cell.row + 1}: ${sayVariable(card.across, cell[card.across], system)}, ${sayVariable(card.up, cell[card.up], system)}`
      const read = card.cells[cell.id]
      if (card.does === 'cut') {
        const said = { yes: 'out', no: 'held', '': '' }[read?.through ?? '']
        const tone = { yes: 98, no: bare, '': null }[read?.through ?? '']
        return [
          cell.id,
          { tone, text: said, says: `${place}, ${said === 'out' ? 'fell out' : said === 'held' ? 'held' : 'not looked at'}` },
        ]
      }
      if (read?.share != null) {
        const tone = lightness(read.share * luminanceOf(bare))
        return [cell.id, { tone, text: String(Math.round(tone)), says: `${place}, tone ${Math.round(tone)} L*` }]
      }
      const tone = tones.get(cell.id)
      if (tone !== undefined) {
        return [cell.id, { tone, text: String(Math.round(tone)), says: `${place}, expected ${Math.round(tone)} L*` }]
      }
      return [cell.id, { tone: null, text: '', says: `${place}, not read` }]
    }),
  )
}

/** The card as its picture showed it, or as it was burnt on the screen; null where neither was done while this page lives. */
export function useStraight(shown: ShownCard | null): ImageBitmap | null {
  const read = useCardPictures(({ pictures }) => (shown?.id == null ? null : (pictures[shown.id] ?? null)))
  const burnt = useBurnSeen()
  if (shown === null || shown.id !== null) return read
  return burnt.of === designOf(shown.card) ? burnt.picture : null
}

/** What each cell of a card shows of its depth. */
export function useDepthFaces(shown: ShownCard | null, system: UnitSystem): Readonly<Record<string, CellFace>> {
  return useMemo(() => (shown === null ? {} : depthFacesOf(shown, system)), [shown, system])
}

function depthFacesOf({ card, bare }: ShownCard, system: UnitSystem) {
  const unit = displayUnit('length', system)
  return Object.fromEntries(
    cardCells(card).map((cell): [string, CellFace] => {
      const read = card.cells[cell.id]
      const tone = read?.share == null ? null : lightness(read.share * luminanceOf(bare))
      const depth = read?.depth ?? null
      const text = depth === null ? '' : String(Number(fromCore(depth, unit).toPrecision(2)))
      const says = `Cell ${cell.column + 1}/${cell.row + 1}: ${depth === null ? 'depth not read' : `${text} ${unitOf(unit).symbol} deep`}`
      return [cell.id, { tone, text, says }]
    }),
  )
}
