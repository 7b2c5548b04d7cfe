import { figureOf, type View } from '../bench'
import { circuitOf, lampFollows, truthTable, type ChainRow, type Circuit } from './chain'
import type { ElectricalBench } from './slice'
import { aGuard, aHead } from './subjects'

const figure = figureOf<ElectricalBench>()
const SOURCE = 'Logic of the circuit as it is drawn; ISO 13849-2 annex D (from memory) for the faults.'
const YES = 1
const NO = -1

/** What the chain is worked from; the pull-down is asked for only where an input could hang free. */
function circuitIn(view: View<ElectricalBench>): Circuit {
  const { blocks, wires, driver } = view.bench.electrical
  return circuitOf({ blocks, wires }, () => driver.pullDown === 'fitted')
}

export const chainTable = figure({
  id: 'electrical.chainTable',
  of: aHead,
  label: 'The safety chain, state by state',
  quantity: 'count',
  formula: '\\text{for each state of the contacts: can the head give light?}',
  symbols: {},
  source: SOURCE,
  doubt: { none: 'It is yes or no, for each state and each single fault.' },
  work: (view, head: string): readonly ChainRow[] => truthTable(circuitIn(view), head),
})

/** The row in which one contact, or none, is moved. */
function rowOf(view: View<ElectricalBench>, head: string, moved: readonly string[]): ChainRow {
  const row = view.figure(chainTable, head).find((it) => it.moved.join() === moved.join())
  if (row === undefined) throw new RangeError(`there is no contact ${moved.join()} on this bench`)
  return row
}

export const chainStops = figure({
  id: 'electrical.chainStops',
  of: aGuard,
  label: 'It darkens the head',
  quantity: 'count',
  formula: 'm = 1\\ \\text{if the head is dark with it moved, told or not, else}\\ -1',
  symbols: {},
  source: SOURCE,
  doubt: { none: 'It is yes or no.' },
  work(view, head: string, contact: string): number {
    const { on, untold } = rowOf(view, head, [contact])
    return on || untold ? NO : YES
  },
})

export const chainFaults = figure({
  id: 'electrical.chainFaults',
  of: aGuard,
  label: 'Single faults that leave it on, counted down',
  quantity: 'count',
  formula: 'm = -n',
  symbols: {},
  source: SOURCE,
  doubt: { none: 'A count of single faults.' },
  work: (view, head: string, contact: string): number => {
    const faults = rowOf(view, head, [contact]).defeatedBy.length
    return faults === 0 ? 0 : -faults
  },
})

export const chainAtRest = figure({
  id: 'electrical.chainAtRest',
  of: aHead,
  label: 'Dark until it is told',
  quantity: 'count',
  formula: 'm = 1\\ \\text{if the head is dark while nothing tells it to be on, else}\\ -1',
  symbols: {},
  source: SOURCE,
  doubt: { none: 'It is yes or no.' },
  work: (view, head: string): number => (rowOf(view, head, []).untold ? NO : YES),
})

export const chainLets = figure({
  id: 'electrical.chainLets',
  of: aHead,
  label: 'On when it is told, nothing being moved',
  quantity: 'count',
  formula: 'm = 1\\ \\text{if the head can be on while no contact is moved, else}\\ -1',
  symbols: {},
  source: SOURCE,
  doubt: { none: 'It is yes or no.' },
  work: (view, head: string): number => (rowOf(view, head, []).on ? YES : NO),
})

export const chainHasStop = figure({
  id: 'electrical.chainHasStop',
  of: aHead,
  label: 'An emergency stop is there',
  quantity: 'count',
  formula: 'm = 1\\ \\text{if there is one, else}\\ -1',
  symbols: {},
  source: 'As drawn.',
  doubt: { none: 'It is yes or no.' },
  work: (view, _head: string): number =>
    Object.values(view.bench.electrical.blocks).some((it) => it.kind === 'stop') ? YES : NO,
})

export const chainLamp = figure({
  id: 'electrical.chainLamp',
  of: aHead,
  label: 'The lamp is lit whenever the head has power',
  quantity: 'count',
  formula: 'm = 1\\ \\text{if in every state of the contacts some lamp is lit where the head has power, else}\\ -1',
  symbols: {},
  source: `${SOURCE} Emission warning: IEC 60825-1 (from memory).`,
  doubt: { none: 'It is yes or no.' },
  work(view, head: string): number {
    const circuit = circuitIn(view)
    return circuit.blocks.some((it) => it.kind === 'lamp' && lampFollows(circuit, head, it.id)) ? YES : NO
  },
})
