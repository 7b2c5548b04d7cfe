import { mountPlaces } from '../../core/housing'
import { fixMount, useBenchStore, useFigure } from '../../state'
import { ChoiceField, FactField, Panel, Sentence } from '../../ui'
import { printFixed } from '../../core/units'

/** How the box opens, and what holds the lid. */
export function LidGiven() {
  const lid = useBenchStore(({ bench }) => bench?.housing.lid)
  if (lid === undefined) return null
  const isSprung = lid.springs.chosen === 'gas' || lid.springs.chosen === 'coil'
  return (
    <div className="mt-2 grid gap-4">
      <Panel title="Given, the lid">
        <Sentence>
          It opens <ChoiceField path="housing.lid.form" />
          {lid.form.chosen === 'angled' && (
            <>
              , over an upright front of <FactField path="housing.lid.frontHeight" /> and a level roof of{' '}
              <FactField path="housing.lid.roofDepth" />
            </>
          )}
          , by <FactField path="housing.lid.opensTo" />. Handle, hinge and strip weigh <FactField path="housing.lid.extra" />; the
          hinge carries <FactField path="housing.lid.hinge" />. Shut, it lies <ChoiceField path="housing.lid.seal" />
          {lid.seal.chosen === 'gap' && (
            <>
              {' '}
              of <FactField path="housing.lid.gap" />
            </>
          )}
          . It is held up by <ChoiceField path="housing.lid.springs" />.
        </Sentence>
      </Panel>
      {isSprung && (
        <Panel title="Given, its springs">
          <Sentence>
            <FactField path="housing.lid.count" /> of <FactField path="housing.lid.force" />,{' '}
            <FactField path="housing.lid.stretched" /> stretched with a stroke of <FactField path="housing.lid.stroke" />; pressed
            in they push <FactField path="housing.lid.progression" /> times as much. They are fixed{' '}
            <FactField path="housing.lid.onLid" /> from the hinge on the lid; on the box <FactField path="housing.lid.boxOut" />{' '}
            out from it and <FactField path="housing.lid.boxDown" /> below. Friction <FactField path="housing.lid.friction" />; it
            stands between <FactField path="housing.lid.coldest" /> and <FactField path="housing.lid.warmest" />.
          </Sentence>
          <Places />
        </Panel>
      )}
      <Panel title="Before you hang it">
        <ul className="m-0 max-w-[46rem] list-disc py-1 pl-5 text-[14px] leading-relaxed">
          <li>
            A spring is under force even when it lies on the table: prop the lid before you take one off, and never open one.
          </li>
          <li>Between lid and wall a finger is pinched long before the lid is shut: keep handle and springs away from it.</li>
          <li>The interlock opens the diode’s own supply by a contact that is forced open, not a controller’s input.</li>
        </ul>
      </Panel>
    </div>
  )
}

/** Where these springs would hold the lid best. */
function Places() {
  const found = useFigure(mountPlaces)
  if (found?.result.known !== true || found.result.value.length === 0) return null
  return (
    <div className="no-print py-1 text-[13.5px]">
      <p className="text-second">These springs would hold the lid, with least for a hand to do, fixed here:</p>
      <ul className="m-0 list-none p-0">
        {found.result.value.slice(0, 3).map((it) => (
          <li key={`${it.onLid} ${it.boxX} ${it.boxY}`} className="flex flex-wrap items-baseline gap-3 border-b border-rule py-1">
            <span>
              <span className="num">{printFixed(it.onLid, 0)}</span> mm on the lid,{' '}
              <span className="num">{printFixed(it.boxX, 0)}</span> mm out and{' '}
              <span className="num">{printFixed(-it.boxY, 0)}</span> mm down on the box
            </span>
            <button type="button" className="link ml-auto" onClick={() => fixMount(it)}>
              Fix them there
            </button>
          </li>
        ))}
      </ul>
    </div>
  )
}
