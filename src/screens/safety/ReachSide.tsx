import {
  aFreeLook,
  aPlace,
  away,
  beyondFocus,
  freeBeam,
  glow,
  leaves,
  lightsWood,
  LOOKS,
  placeRoom,
  reachThere,
  skinReach,
  type Look,
} from '../../core/reach'
import { useBenchStore } from '../../state'
import { FigureRow, Panel, Side } from '../../ui'

const WORDS: Readonly<Record<Look, string>> = { glance: 'A glance', ten: 'Ten seconds', watching: 'Watching, 100 s' }

/** How far the beam is above the limits, and each place in the room. */
export function ReachSide() {
  const bench = useBenchStore((it) => it.bench)
  if (bench === null) return null
  const isInvisible = (bench.optics.wavelength.value ?? 0) >= 700
  return (
    <Side stage="safety" part="reach">
      <Panel title="Worked, thrown back like by a mirror">
        {LOOKS.map((look) => (
          <FigureRow key={look} def={beyondFocus} args={[look]} label={WORDS[look]} />
        ))}
        <FigureRow def={skinReach} args={[]} />
        <FigureRow def={lightsWood} args={[]} />
        {isInvisible && (
          <p className="py-1 text-[13px] text-second">This wavelength cannot be seen: nobody blinks or turns away.</p>
        )}
      </Panel>
      <Panel title="Worked, glow of a dull surface">
        {LOOKS.map((look) => (
          <FigureRow key={look} def={glow} args={[look]} label={WORDS[look]} />
        ))}
      </Panel>
      {aFreeLook.each(bench).length > 0 && (
        <Panel title="Worked, a beam without its focus">
          {LOOKS.map((look) => (
            <FigureRow key={look} def={freeBeam} args={[look]} label={WORDS[look]} />
          ))}
        </Panel>
      )}
      {aPlace.each(bench).length > 0 && (
        <Panel title="Worked, who is where">
          <FigureRow def={leaves} args={[]} />
          {aPlace.each(bench).map(([id]) => (
            <div key={id}>
              <p className="pt-2 text-[13px] font-[650]">{bench.reach.places[id]?.name}</p>
              <FigureRow def={away} args={[id]} label="From the work to the eyes" />
              <FigureRow def={reachThere} args={[id]} label="Reach of what may come there" />
              <FigureRow def={placeRoom} args={[id]} label="Eyes" />
            </div>
          ))}
        </Panel>
      )}
    </Side>
  )
}
