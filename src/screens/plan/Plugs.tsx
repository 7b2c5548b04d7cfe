import type { PlanPlug } from '../../core/schedule'
import { editRow, removeRow, takeUsualPlugs, useBenchStore, type Told } from '../../state'
import { Panel, PlainField, TakeAway } from '../../ui'
import { Rows } from './Rows'

/** The plugs, clips and hoses of a change-over: what goes where, and where what is pulled stays. */
export function Plugs() {
  const isChangedOver = useBenchStore((it) => it.bench?.motion.kinematics.chosen === 'retrofit')
  const none = useBenchStore((it) => Object.keys(it.bench?.plan.plugs ?? {}).length === 0)
  if (!isChangedOver) return null
  return (
    <Panel title="Given, plugs, clips and hoses">
      <Rows
        list="plugs"
        height={44}
        row={(id, plug) => <PlugRow key={id} id={id} plug={plug} />}
        add={{ words: 'Add a plug', row: { name: 'A plug', from: '', to: '' }, undo: 'a plug' }}
      />
      {none && (
        <button type="button" className="button button-first no-print mt-2" onClick={() => takeUsualPlugs()}>
          Take the usual ones
        </button>
      )}
    </Panel>
  )
}

function PlugRow({ id, plug }: { readonly id: string; readonly plug: PlanPlug }) {
  const patch = (change: Partial<PlanPlug>): Told => editRow('plugs', id, change, `“${plug.name}”`)
  return (
    <li className="flex flex-wrap items-end gap-x-3 gap-y-1 border-b border-rule py-1.5 text-[13px]">
      <PlainField
        label={`Name of ${plug.name}`}
        hideLabel
        words
        value={plug.name}
        className="w-56"
        keep={(name) => patch({ name: name.trim() })}
      />
      <PlainField label="from" words value={plug.from} className="w-44" keep={(from) => patch({ from: from.trim() })} />
      <PlainField label="to" words value={plug.to} className="w-64" keep={(to) => patch({ to: to.trim() })} />
      <TakeAway what={`Take ${plug.name} away`} act={() => removeRow('plugs', id, `“${plug.name}” taken away`)} />
    </li>
  )
}
