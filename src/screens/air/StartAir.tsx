import { useState } from 'react'
import { AIR_STARTS, DONE, DUCT_SIZES, layAir, type AirStart, type Told } from '../../state'
import { Findings, Panel, SelectOf, useUnits } from '../../ui'

const STARTS: Readonly<Record<AirStart, readonly [name: string, words: string]>> = {
  open: ['A box with an open inlet', 'The fan holds it below the room; air comes in by one opening behind a baffle.'],
  sealed: [
    'A sealed box, air by a duct',
    'Seams sealed, strip round the lid; fresh air comes from outdoors by a duct of its own.',
  ],
  hood: ['A hood to lift away', 'No floor: air comes in under its foot, all round.'],
  table: ['A table drawn through its holes', 'The fan draws from below the work.'],
  mouth: ['A mouth beside the head', 'Draws from a hand’s width at most; asks for far more air than a box.'],
}

/** How the smoke is caught: each lays the usual ways of the air, all open to change. */
export function StartAir() {
  const system = useUnits()
  const [size, setSize] = useState(system === 'metric' ? '100' : '4')
  const [told, say] = useState<Told>(DONE)
  return (
    <Panel title="How is the smoke caught?">
      <p className="max-w-[46rem] py-1.5 text-[14px] text-second">
        Choose what comes nearest. The usual parts are laid from it; sizes, lengths and the fan are yours to say.
      </p>
      <label className="flex items-center gap-2 py-1 text-[14px]">
        Duct sold as
        <SelectOf
          label="Duct sold as"
          of={Object.fromEntries(DUCT_SIZES[system].map((it) => [String(it), `${it} ${system === 'metric' ? 'mm' : 'in'}`]))}
          value={size}
          choose={setSize}
        />
      </label>
      <ul className="m-0 list-none p-0">
        {AIR_STARTS.map((start) => (
          <li key={start} className="border-b border-rule py-2">
            <button type="button" className="button mr-3" onClick={() => say(layAir(start, Number(size)))}>
              {STARTS[start][0]}
            </button>
            <span className="text-[14px]">{STARTS[start][1]}</span>
          </li>
        ))}
      </ul>
      <Findings findings={told} />
    </Panel>
  )
}
