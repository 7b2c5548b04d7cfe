import type { Bench } from '../../core/document'
import { useBenchStore } from '../../state'
import { ChoiceField, FactField, Panel, Sentence } from '../../ui'

/** How the object is held, and what its holder measures. */
export function HoldingGiven() {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  return (
    <div className="mt-2 grid gap-4">
      <Panel title="Given, the holder">
        <Sentence>
          It is held <ChoiceField path="rotary.holding" />. The rotary carries up to <FactField path="rotary.holder.heaviest" />
          .{' '}
        </Sentence>
        <OfHolding rotary={bench.rotary} />
      </Panel>
      <Cautions rotary={bench.rotary} />
    </div>
  )
}

function OfHolding({ rotary }: { readonly rotary: Bench['rotary'] }) {
  switch (rotary.holding.chosen) {
    case 'rollers':
      return (
        <Sentence>
          The rollers measure Ø<FactField path="rotary.holder.rollerDiameter" />, are{' '}
          <FactField path="rotary.holder.rollerLength" /> long and lie <FactField path="rotary.holder.rollerGap" /> apart, axis to
          axis; <FactField path="rotary.holder.driven" /> of them driven, with a friction of{' '}
          <FactField path="rotary.holder.grip" />. Against drift <ChoiceField path="rotary.holder.againstDrift" />.
        </Sentence>
      )
    case 'chuck':
      return (
        <Sentence>
          The jaws hold from <FactField path="rotary.holder.jawLeast" /> to <FactField path="rotary.holder.jawMost" /> from
          outside, and bores from <FactField path="rotary.holder.insideLeast" /> to <FactField path="rotary.holder.insideMost" />.
          They reach <FactField path="rotary.holder.jawLength" /> over the object; opened for it they stand out to Ø
          <FactField path="rotary.holder.discDiameter" />.
        </Sentence>
      )
    case 'centres':
      return (
        <Sentence>
          Up to <FactField path="rotary.holder.centresMost" /> goes in between the centres. The driving disc measures Ø
          <FactField path="rotary.holder.discDiameter" />, the tail disc Ø<FactField path="rotary.holder.tailDiameter" />.
        </Sentence>
      )
    case 'plate':
    case null:
      return null
  }
}

/** What is said of brittle things before anybody clamps one. */
function Cautions({ rotary }: { readonly rotary: Bench['rotary'] }) {
  const made = rotary.objects[rotary.inHand]?.madeOf.chosen
  const isBrittle = made === 'glass' || made === 'ceramic' || made === 'enamel'
  return (
    <Panel title="Before you clamp it">
      <ul className="m-0 max-w-[46rem] list-disc py-1 pl-5 text-[14px] leading-relaxed">
        <li>Supply of the beam and of the motors off while a hand is in the holder.</li>
        {isBrittle && (
          <li>
            {made === 'glass' ? 'Glass breaks' : 'Glaze and enamel chip, and may break'} under steel jaws: soft jaws, cardboard or
            rubber between, tightened by hand only. Wear eye protection and gloves: it may break later, when it is warm.
          </li>
        )}
        {made === 'glass' && (
          <li>Clear glass lets the beam through: what lies behind and in it is hit too. Coat it, and cover what is behind.</li>
        )}
        {made === 'metal' && <li>Bright metal throws the beam back: coat it, or do not burn it.</li>}
        <li>Nothing closed may be turned and burnt: what is heated in it bursts it.</li>
        <li>Long hair, sleeves and threads away from what turns.</li>
      </ul>
    </Panel>
  )
}
