import { shownNumber } from '../../core/bench'
import { wantedPieces, type Bench } from '../../core/document'
import {
  drawnCup,
  drawnDisc,
  HOLDER_KINDS,
  kerfOfHolders,
  LOOSE,
  spare,
  wantedCup,
  wantedDisc,
  type HolderFacts,
  type HolderKind,
} from '../../core/rotary'
import { addHolder, engineOf, removeHolder, setHolder, setMade, sitOn, useBenchStore } from '../../state'
import { FactField, FigureRow, printFigure, Quantity, NumberField, Panel, PlainField, Sentence, Side, TakeAway } from '../../ui'
import { HolderSheets } from './HolderSheets'

const KINDS: Readonly<Record<HolderKind, string>> = {
  centring: 'Disc for a bore',
  stepped: 'Stepped discs',
  cup: 'Cup round the outside',
  backing: 'Backing disc',
  friction: 'Friction disc',
  hub: 'Hub disc',
  rollerEnd: 'End of a roller',
  driveRing: 'Wheel for a drive ring',
}
const SEATS: readonly HolderKind[] = ['centring', 'stepped', 'cup']

/** The sheets on which the parts that are wanted lie. */
export function HoldersPlate() {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  return (
    <HolderSheets
      title="Parts to cut"
      name="rotary-parts"
      wanted={wantedPieces(engineOf(bench))}
      empty="Nothing is wanted: all parts on the shelf are made. Look below whether one of them fits, or add one."
    />
  )
}

/** The shelf: what was made and fits, what is wanted, and what it is cut from. */
export function HoldersGiven() {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  const all = Object.entries(bench.rotary.holders).sort(([, p], [, q]) => p.order - q.order)
  const made = all.filter(([, it]) => it.made !== '')
  const wanted = all.filter(([, it]) => it.made === '')
  return (
    <div className="mt-2 grid gap-4">
      <Panel title="The shelf: what was made">
        <Shelf bench={bench} made={made} />
      </Panel>
      <Panel title="Wanted">
        <ul className="m-0 list-none p-0">
          {wanted.map(([id, it]) => (
            <Part key={id} id={id} part={it} />
          ))}
        </ul>
        <div className="no-print flex flex-wrap gap-2 py-2">
          {HOLDER_KINDS.map((kind) => (
            <button key={kind} type="button" className="button" onClick={() => addHolder(kind)}>
              {KINDS[kind]}
            </button>
          ))}
        </div>
      </Panel>
      <Panel title="Given, how parts are cut">
        <Sentence>
          Fits have a clearance of <FactField path="rotary.make.clearance" />; a cup’s wall is{' '}
          <FactField path="rotary.make.wall" /> thick; the spindle measures Ø<FactField path="rotary.make.spindle" />. The sheet
          is <FactField path="rotary.make.sheet" /> thick, <FactField path="rotary.make.sheetWidth" /> across and{' '}
          <FactField path="rotary.make.sheetHeight" /> up.
        </Sentence>
      </Panel>
    </div>
  )
}

/** Parts that were made, the best fit for the object in hand first. */
function Shelf({ bench, made }: { readonly bench: Bench; readonly made: readonly (readonly [string, HolderFacts])[] }) {
  const engine = engineOf(bench)
  const id = bench.rotary.inHand
  const object = bench.rotary.objects[id]
  const fitOf = (holder: string, it: HolderFacts): number | null =>
    object === undefined || !SEATS.includes(it.kind) ? null : shownNumber(engine.value(spare, id, holder).result)
  const inOrder = made
    .map(([holder, it]) => ({ holder, it, fit: fitOf(holder, it) }))
    .sort((p, q) => rank(p.fit) - rank(q.fit) || p.it.order - q.it.order)
  if (inOrder.length === 0)
    return <p className="py-2 text-second">Nothing was made yet. What is wanted stands below; say of each when it is made.</p>
  return (
    <ul className="m-0 list-none p-0">
      {inOrder.map(({ holder, it, fit }) => (
        <li key={holder} className="border-b border-rule py-1.5 text-[14px]" data-holder={holder}>
          <div className="flex flex-wrap items-center gap-x-3">
            <strong className="font-[650]">{it.name}</strong>
            <span className="flex flex-wrap items-center gap-x-2">
              <Sizes id={holder} part={it} />
            </span>
            {bench.rotary.seat === holder ? (
              <span className="ml-auto text-[13px] text-second">{object?.name ?? 'the object'} sits on it</span>
            ) : (
              fit !== null && (
                <button type="button" className="link no-print ml-auto" onClick={() => sitOn(holder)}>
                  Use this one
                </button>
              )
            )}
            <button type="button" className="link no-print text-[13px]" onClick={() => setMade(holder, false)}>
              Cut it again
            </button>
            <TakeAway what={`Take ${it.name} off the shelf`} act={() => removeHolder(holder)} />
          </div>
          {fit !== null && object !== undefined && (
            <p className="text-[13px] text-second">
              {sayFit(object.name, fit)} <Quantity of={printFigure(engine.withDoubt(spare, id, holder), bench.units)} />
              {fit < 0 ? '.' : ' to spare.'}
            </p>
          )}
        </li>
      ))}
    </ul>
  )
}

/** What fits best stands first: a little to spare, then more, then what is too tight. */
function rank(fit: number | null): number {
  if (fit === null) return 1e6
  return fit >= 0 ? fit : 1e3 - fit
}

function sayFit(name: string, fit: number): string {
  if (fit < 0) return `Too tight for “${name}” by`
  return fit > LOOSE ? `Loose on “${name}”, with` : `This one fits “${name}”, with`
}

/** A part that is wanted, with its sizes. */
function Part({ id, part }: { readonly id: string; readonly part: HolderFacts }) {
  const isDrilled = part.kind === 'backing' || part.kind === 'hub' || part.kind === 'cup'
  const small = { hideLabel: false, className: 'w-20' } as const
  return (
    <li className="border-b border-rule py-2 text-[14px]" data-holder={id}>
      <div className="flex flex-wrap items-end gap-x-4 gap-y-1">
        <PlainField
          label={KINDS[part.kind]}
          words
          value={part.name}
          className="w-52"
          keep={(name) => setHolder(id, { name: name.trim() })}
        />
        <NumberField
          label="How many"
          value={part.count}
          whole
          {...small}
          keep={(count) => setHolder(id, { count: count ?? 1 })}
        />
        {part.kind === 'stepped' && (
          <NumberField
            label="Steps"
            value={part.steps}
            whole
            above
            {...small}
            keep={(steps) => setHolder(id, { steps: steps ?? 4 })}
          />
        )}
        {isDrilled && (
          <>
            <NumberField
              label="Screw holes"
              value={part.screws}
              whole
              {...small}
              keep={(screws) => setHolder(id, { screws: screws ?? 0 })}
            />
            <NumberField label="on Ø, mm" value={part.screwsOn} {...small} keep={(it) => setHolder(id, { screwsOn: it ?? 30 })} />
            <NumberField
              label="each Ø, mm"
              value={part.screwHole}
              {...small}
              keep={(it) => setHolder(id, { screwHole: it ?? 3.4 })}
            />
          </>
        )}
        <TakeAway what={`Take ${part.name} away`} act={() => removeHolder(id)} />
      </div>
      <p className="flex flex-wrap items-center gap-x-2 pt-1.5">
        <Sizes id={id} part={part} />
        <button type="button" className="button no-print ml-auto" onClick={() => setMade(id, true)}>
          It is made
        </button>
      </p>
    </li>
  )
}

/** Its diameters, as they are called for its kind. */
function Sizes({ id, part }: { readonly id: string; readonly part: HolderFacts }) {
  return (
    <>
      {part.kind === 'cup'
        ? 'Takes Ø'
        : part.kind === 'stepped'
          ? 'Largest Ø'
          : part.kind === 'driveRing'
            ? 'Flanges Ø'
            : 'Outside Ø'}
      <FactField path={`rotary.holders.${id}.outer`} small />
      {part.kind === 'stepped' && (
        <>
          smallest Ø<FactField path={`rotary.holders.${id}.least`} small />
        </>
      )}
      {part.kind === 'driveRing' && (
        <>
          groove Ø<FactField path={`rotary.holders.${id}.least`} small />
        </>
      )}
      hole Ø<FactField path={`rotary.holders.${id}.inner`} small />
    </>
  )
}

/** Sizes that follow from the object in hand, and the kerf. */
export function HoldersSide() {
  const id = useBenchStore(({ bench }) => bench?.rotary.inHand ?? '')
  const object = useBenchStore(({ bench }) => bench?.rotary.objects[id])
  return (
    <Side stage="rotary" part="holders">
      <Panel title="Worked, parts for this object">
        {object?.hollow.chosen === 'driven' && (
          <>
            <FigureRow def={wantedDisc} args={[id]} />
            <FigureRow def={drawnDisc} args={[id]} />
          </>
        )}
        {object !== undefined && (
          <>
            <FigureRow def={wantedCup} args={[id]} />
            <FigureRow def={drawnCup} args={[id]} />
          </>
        )}
        <FigureRow def={kerfOfHolders} args={[]} />
      </Panel>
    </Side>
  )
}
