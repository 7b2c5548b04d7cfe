import { useState } from 'react'
import { PORT_KINDS, PORT_WORDS, type PortFacts, type PortKind, type Wall } from '../../core/housing'
import { addBaffle, addPort, removeOfHousing, setBaffle, setPort, useBenchStore } from '../../state'
import { ChoiceField, FactField, LengthField, Panel, PlainField, SelectOf, TakeAway } from '../../ui'

const WALL_WORDS: Readonly<Record<Wall, string>> = {
  left: 'left side',
  right: 'right side',
  front: 'front',
  back: 'back',
  floor: 'floor',
  roof: 'roof or lid',
}

/** What goes through the walls, where, and what stands before it. */
export function PortsGiven() {
  const housing = useBenchStore(({ bench }) => bench?.housing)
  const [kind, setKind] = useState<PortKind>('inlet')
  if (housing === undefined) return null
  const rows = Object.entries(housing.ports).sort(([, p], [, q]) => p.order - q.order)
  return (
    <div className="mt-2 grid gap-4">
      <Panel title="Given, what goes through the walls">
        {rows.length === 0 && (
          <p className="max-w-[46rem] py-1.5 text-[14px] text-second">
            Cables, hose, vent, inlet, camera, lamp, window: each is placed on its wall, cut with it, and looked through from the
            work.
          </p>
        )}
        <ul className="m-0 list-none p-0" aria-label="Openings">
          {rows.map(([id, port]) => (
            <Row key={id} id={id} port={port} />
          ))}
        </ul>
        <div className="no-print flex flex-wrap items-center gap-2 py-1.5 text-[14px]">
          <SelectOf
            label="Kind of opening"
            of={Object.fromEntries(PORT_KINDS.map((it) => [it, PORT_WORDS[it]])) as Record<PortKind, string>}
            value={kind}
            choose={setKind}
          />
          <button type="button" className="button" onClick={() => addPort(kind)}>
            Add it
          </button>
        </div>
      </Panel>
      <Panel title="Before you switch the beam on">
        <ul className="m-0 max-w-[46rem] list-disc py-1 pl-5 text-[14px] leading-relaxed">
          <li>Darken the room, put a bright lamp inside, and look for light from every side, below and behind too.</li>
          <li>What gets out must have met two matt black faces at least. Bare wood, screws and foil are none.</li>
          <li>A window without a certificate for this wavelength is shut with a panel. A coloured sheet is no window.</li>
          <li>Local codes and certified eyewear come first; no sum here makes a class of its own.</li>
        </ul>
      </Panel>
    </div>
  )
}

function Row({ id, port }: { readonly id: string; readonly port: PortFacts }) {
  const at = `housing.ports.${id}` as const
  const isOpen = port.filled.chosen !== 'yes'
  return (
    <li className="border-b border-rule py-2 text-[14px]">
      <div className="flex flex-wrap items-end gap-x-3 gap-y-1">
        <PlainField label="Its name" words value={port.name} className="w-40" keep={(it) => setPort(id, { name: it })} />
        <label className="flex items-center gap-1.5">
          in the
          <SelectOf label={`Wall of ${port.name}`} of={WALL_WORDS} value={port.wall} choose={(wall) => setPort(id, { wall })} />
        </label>
        <TakeAway what={`Take ${port.name} away`} act={() => removeOfHousing(at, 'an opening taken away')} />
      </div>
      <p className="pt-1 leading-relaxed">
        <ChoiceField path={`${at}.round`} />, {port.round.chosen === 'yes' ? 'Ø' : ''}
        <FactField path={`${at}.width`} />
        {port.round.chosen !== 'yes' && (
          <>
            {' '}
            by <FactField path={`${at}.height`} />
          </>
        )}
        , its middle <FactField path={`${at}.x`} /> from the left and <FactField path={`${at}.y`} /> from below;{' '}
        <ChoiceField path={`${at}.filled`} />
        {port.filled.chosen === 'no' && (
          <>
            , <FactField path={`${at}.free`} /> of it open
          </>
        )}
        .
      </p>
      {Object.entries(port.baffles)
        .sort(([, p], [, q]) => p.order - q.order)
        .map(([baffle, it]) => (
          <p key={baffle} className="flex flex-wrap items-center gap-1 pl-4">
            <span>
              Baffle <FactField path={`${at}.baffles.${baffle}.away`} /> inside, reaching{' '}
              <FactField path={`${at}.baffles.${baffle}.over`} /> beyond it; shifted to the right and up by
            </span>
            <LengthField
              label={`Baffle ${it.order} of ${port.name}, shifted to the right`}
              hideLabel
              signed
              valueMm={it.right}
              className="w-16"
              keep={(mm) => setBaffle(id, baffle, { right: mm ?? 0 })}
            />
            <LengthField
              label={`Baffle ${it.order} of ${port.name}, shifted up`}
              hideLabel
              signed
              valueMm={it.up}
              className="w-16"
              keep={(mm) => setBaffle(id, baffle, { up: mm ?? 0 })}
            />
            <TakeAway
              what={`Take baffle ${it.order} of ${port.name} away`}
              act={() => removeOfHousing(`${at}.baffles.${baffle}`, 'a baffle taken away')}
            />
          </p>
        ))}
      {isOpen && (
        <button
          type="button"
          className="link no-print"
          aria-label={`Put a baffle before ${port.name}`}
          onClick={() => addBaffle(id)}
        >
          Put a baffle before it
        </button>
      )}
    </li>
  )
}
