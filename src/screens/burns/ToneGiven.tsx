import { useState } from 'react'
import { type BookMaterial, cardCells, type CardVariable } from '../../core/burn'
import type { Bench } from '../../core/document'
import { whyNotBurnt } from '../../core/safety'
import { cardSeconds, layoutCard, markSetting } from '../../core/testcard'
import { displayUnit, sayQuantity } from '../../core/units'
import {
  cardShown,
  designCard,
  designNext,
  designProof,
  DONE,
  draftOfCard,
  dropCard,
  goThrough,
  isStandInThere,
  letCells,
  lookAtStandInCard,
  newCardCode,
  planCard,
  readCardPicture,
  readStandInCard,
  seeCardBurnt,
  stopBurning,
  stopReading,
  useBurnSeen,
  useBenchStore,
  useCardPictures,
  useMachine,
  useSession,
  type CardPlan,
  type Told,
} from '../../state'
import { FactField, FileButton, Findings, NumberField, Panel, SelectOf, Sentence, StageLink, TakeAway, useUnits } from '../../ui'
import { HandOut } from '../../ui/HandOut'
import { About, Book } from './Book'
import { CardValue, VARIABLE_WORDS } from './CardValue'
import { CellGiven } from './CellGiven'
import { useMaterial } from './chosen'
import { Kept } from './Kept'
import { DESIGNED } from './useCard'

/** The book, the card that is designed, the cards that were burnt, what is kept. */
export function ToneGiven() {
  const bench = useBenchStore((it) => it.bench)
  const id = useMaterial()
  if (bench === null) return null
  const material = id === null ? undefined : bench.burns.materials[id]
  const isBurnt = material !== undefined && whyNotBurnt(material.kind) === null
  return (
    <div className="mt-4 grid gap-4">
      <Book bench={bench} shown={id} />
      <Sentence>
        The tone that is wanted is <FactField path="burns.toneWanted" />
        {isBurnt && (
          <>
            ; the bare material has <FactField path={`burns.materials.${id}.bareTone`} />
          </>
        )}
        .
      </Sentence>
      {id !== null && material !== undefined && (
        <>
          <About key={id} id={id} material={material} />
          {isBurnt && <Cards key={`cards ${id}`} bench={bench} id={id} material={material} />}
          {isBurnt && <Design key={`design ${id}`} bench={bench} id={id} hasCards={Object.keys(material.cards).length > 0} />}
          <Kept id={id} material={material} isBurnt={isBurnt} want="tone" />
        </>
      )}
    </div>
  )
}

/** Cards that were burnt, and how the one that is looked at is read. */
function Cards({ bench, id, material }: { readonly bench: Bench; readonly id: string; readonly material: BookMaterial }) {
  const chosen = useSession((it) => it.cardId)
  const cardId = chosen === DESIGNED ? null : cardShown(bench, id, chosen)
  const rows = Object.entries(material.cards).sort(([, p], [, q]) => p.order - q.order)
  if (rows.length === 0) return null
  const look = (to: string): void => useSession.setState({ cardId: to })
  return (
    <Panel title="Cards that were burnt">
      <ul className="m-0 list-none p-0">
        {rows.map(([key, it]) => (
          <li key={key} className="flex flex-wrap items-center gap-x-4 border-b border-rule py-1 text-[14px]">
            <button
              type="button"
              aria-pressed={key === cardId}
              className={`num min-h-7 px-1 ${key === cardId ? 'border-b-2 border-teal font-[650]' : 'text-teal'}`}
              onClick={() => look(key)}
            >
              {it.code}
            </button>
            <span className="num text-second">{it.at.slice(0, 10)}</span>
            <span>
              {it.does === 'cut' && 'cut, '}
              {VARIABLE_WORDS[it.across]} across, {VARIABLE_WORDS[it.up]} up
            </span>
            <span className="num">
              {Object.keys(it.cells).length} of {it.columns * it.rows} read
            </span>
            <TakeAway what={`Throw card ${it.code} away`} act={() => dropCard(id, key)} />
          </li>
        ))}
      </ul>
      {cardId !== null && <Read key={cardId} bench={bench} id={id} cardId={cardId} />}
    </Panel>
  )
}

/** The ways of reading a card. */
function Read({ bench, id, cardId }: { readonly bench: Bench; readonly id: string; readonly cardId: string }) {
  const [said, say] = useState<Told>(DONE)
  const reading = useCardPictures((it) => it.reading !== null)
  const hasStandIn = useMachine((it) => isStandInThere(it) && !it.running && it.marks.length > 0)
  const isCut = bench.burns.materials[id]?.cards[cardId]?.does === 'cut'
  const take = (file: File): void => {
    say(DONE)
    void readCardPicture(id, cardId, file).then(say)
  }
  return (
    <div className="pt-2">
      <p className="max-w-[46rem] text-[13px] text-second">
        {isCut
          ? 'Let the pieces fall out and hold the card against a bright window or lamp, its face lit too; the whole card in the picture. What fell out counts as tries of cutting through. Or press its cells one by one.'
          : 'Lay the card flat in even light, no flash; the whole card in the picture, from nearly above. Or press its cells one by one and say what you see.'}
      </p>
      <div className="no-print mt-2 flex flex-wrap items-center gap-2">
        {reading ? (
          <>
            <span role="status" className="text-second">
              Reading the picture …
            </span>
            <button type="button" className="button" onClick={stopReading}>
              Give it up
            </button>
          </>
        ) : (
          <>
            <FileButton label="Picture of the card" accept="image/*" first={!hasStandIn} take={take}>
              Read a picture of it
            </FileButton>
            {hasStandIn && (
              <>
                <button type="button" className="button button-first" onClick={() => void readStandInCard(id, cardId).then(say)}>
                  Photograph it with the stand-in’s camera
                </button>
                {!isCut && (
                  <button type="button" className="button" onClick={() => void lookAtStandInCard(bench, id, cardId).then(say)}>
                    Look at the stand-in’s card by eye
                  </button>
                )}
              </>
            )}
          </>
        )}
      </div>
      <Findings findings={said} />
      <CellGiven bench={bench} id={id} cardId={cardId} />
    </div>
  )
}

/** The card that is burnt next: what it goes through, how large it is, its program. */
function Design({ bench, id, hasCards }: { readonly bench: Bench; readonly id: string; readonly hasCards: boolean }) {
  const { card } = bench.burns
  const system = useUnits()
  const [code, setCode] = useState(newCardCode)
  const [said, say] = useState<Told>(DONE)
  const plan = planCard(bench, card, code)
  const look = (): void => useSession.setState({ cardId: DESIGNED })
  const make = (act: () => Told): void => {
    say(act())
    look()
  }
  const keep = (change: Parameters<typeof designCard>[0]): Told => {
    look()
    return designCard(change)
  }
  const length = displayUnit('length', system)
  const { columns, rows } = card
  return (
    <Panel title="The card that is burnt next">
      {hasCards && (
        <div className="no-print flex flex-wrap items-center gap-2 py-2">
          <button type="button" className="button" onClick={() => make(() => designNext(id))}>
            Design the small card that tells most
          </button>
          <button type="button" className="button" onClick={() => make(() => designProof(id))}>
            Design a patch of the setting, to prove it
          </button>
        </div>
      )}
      <Findings findings={said} />
      <label className="inline-flex flex-col py-1 text-[12px] text-second">
        Its cells are
        <SelectOf
          label="Its cells are"
          of={{ scan: 'scanned, for tone and depth', cut: 'cut along their edge, to see what falls out' }}
          value={card.does}
          choose={(does) => make(() => letCells(does))}
        />
      </label>
      <div className="grid gap-y-2 py-1 text-[14px]">
        <SideOf bench={bench} side="across" keep={keep} look={look} />
        <SideOf bench={bench} side="up" keep={keep} look={look} />
      </div>
      <div className="flex flex-wrap items-end gap-x-4 gap-y-2 py-1 text-[14px]">
        {(['power', 'speed', 'pitch', 'passes', 'focus'] as const)
          .filter((kind) => kind !== card.across && kind !== card.up)
          .map((kind) => (
            <CardValue
              key={kind}
              label={`All cells: ${VARIABLE_WORDS[kind]}`}
              kind={kind}
              value={card[kind]}
              keep={(value) => keep({ [kind]: value })}
            />
          ))}
        <CardValue label="Side of a cell" kind="pitch" value={card.cell} keep={(cell) => keep({ cell })} />
        <CardValue label="Marks and code: power" kind="power" value={card.markPower} keep={(markPower) => keep({ markPower })} />
        <CardValue label="Marks and code: speed" kind="speed" value={card.markSpeed} keep={(markSpeed) => keep({ markSpeed })} />
      </div>
      {plan.ok ? (
        <>
          <p className="py-1 text-[13px] text-second">
            {sayQuantity(Math.round(layoutCard(plan.value.card).width), null, length)} by{' '}
            {sayQuantity(Math.round(layoutCard(plan.value.card).height), null, length)} of scrap, its lower left corner at X{' '}
            {sayQuantity(plan.value.card.originX, null, length)}, Y {sayQuantity(plan.value.card.originY, null, length)};{' '}
            {columns * rows} cells in an order that spreads the heat, about{' '}
            {Math.ceil(
              cardSeconds(
                cardCells(plan.value.card),
                markSetting(plan.value.card, plan.value.machine),
                card.cell,
                plan.value.machine,
              ) / 60,
            )}{' '}
            min. Marks, number and code are burnt first: dark they have to be, and not through.
          </p>
          {plan.value.machine.onDelay === null && (
            <p className="py-1 text-[13px] text-second">
              How late the light comes nobody has measured here: marks and code are burnt slowly for that.{' '}
              <StageLink stage="controller" part="delay">
                Measure the delay
              </StageLink>
              , and the card is burnt faster.
            </p>
          )}
          <Sentence>
            The corner of the scrap lies at X <FactField path="calibrate.startX" />, Y <FactField path="calibrate.startY" />.
          </Sentence>
          <SeeBurnt bench={bench} id={id} plan={plan.value} look={look} />
          <HandOut
            key={JSON.stringify(card)}
            name={`test card ${code}`}
            steps={plan.value.steps}
            bench={withoutWait(bench)}
            burnWords="Burn the card"
            prepare={() => {
              const draft = draftOfCard(id, plan.value.card)
              if (!draft.ok) return draft
              const kept = draft.value.keep
              const keepAndLook = (): Told => {
                const told = kept()
                if (told.length === 0) {
                  useSession.setState({ cardId: draft.value.id })
                  setCode(newCardCode())
                }
                return told
              }
              return { ...draft, value: { ...draft.value, keep: keepAndLook } }
            }}
          />
        </>
      ) : (
        <Findings findings={plan.findings} />
      )}
    </Panel>
  )
}

/** The card burnt on the screen first: its program, through the beam as it is known, into a map of dose. */
function SeeBurnt(props: { readonly bench: Bench; readonly id: string; readonly plan: CardPlan; readonly look: () => void }) {
  const { bench, id, plan, look } = props
  const share = useBurnSeen((it) => it.share)
  const [said, say] = useState<Told>(DONE)
  const see = (): void => {
    look()
    say(DONE)
    document.querySelector('[data-plate]')?.scrollIntoView({ block: 'nearest' })
    void seeCardBurnt(withoutWait(bench), id, plan).then(say)
  }
  return (
    <div className="no-print flex flex-wrap items-center gap-3 py-1">
      {share === null ? (
        <button type="button" className="button" onClick={see}>
          See it burnt on the screen
        </button>
      ) : (
        <>
          <progress className="w-40" max={1} value={share} aria-label="Burning on the screen" />
          <button type="button" className="button" onClick={stopBurning}>
            Give it up
          </button>
        </>
      )}
      <Findings findings={said} />
    </div>
  )
}

/** In full motion a wait behind “on” would burn a dot at every line. */
function withoutWait(bench: Bench): Bench {
  return { ...bench, output: { ...bench.output, card: { ...bench.output.card, afterOn: 0 } } }
}

/** What one side of the card goes through. */
function SideOf(props: {
  readonly bench: Bench
  readonly side: 'across' | 'up'
  readonly keep: (change: Parameters<typeof designCard>[0]) => Told
  readonly look: () => void
}) {
  const { bench, side, keep, look } = props
  const { card } = bench.burns
  const [said, say] = useState<Told>(DONE)
  const kind = card[side]
  const [from, to, count] =
    side === 'across' ? (['acrossFrom', 'acrossTo', 'columns'] as const) : (['upFrom', 'upTo', 'rows'] as const)
  const words = side === 'across' ? 'Across' : 'Up'
  return (
    <div className="flex flex-wrap items-end gap-x-3 gap-y-1">
      <label className="inline-flex flex-col text-[12px] text-second">
        {words} it goes through
        <SelectOf<CardVariable>
          label={`${words} the card goes through`}
          of={VARIABLE_WORDS}
          value={kind}
          choose={(next) => {
            look()
            say(goThrough(side, next))
          }}
        />
      </label>
      <CardValue label="from" kind={kind} value={card[from]} keep={(value) => keep({ [from]: value })} />
      <CardValue label="to" kind={kind} value={card[to]} keep={(value) => keep({ [to]: value })} />
      <NumberField
        label={side === 'across' ? 'in columns' : 'in rows'}
        whole
        above
        value={card[count]}
        className="w-14"
        keep={(value) => keep({ [count]: value ?? 1 })}
      />
      <Findings findings={said} />
    </div>
  )
}
