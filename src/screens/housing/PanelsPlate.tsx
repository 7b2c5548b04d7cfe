import { cutRows, sheetPlan, type CutSheet, type SheetPlan } from '../../core/nesting'
import type { Bench } from '../../core/document'
import { printFixed } from '../../core/units'
import { engineOf, shownBench, useBenchStore } from '../../state'
import { download, Hatching } from '../../ui'

/** The sheets as they are sawn. */
export function PanelsPlate() {
  const bench = useBenchStore(shownBench)
  if (bench === null) return null
  const { sheet, sheets } = bench.housing
  const found = sheets[sheet] === undefined ? null : engineOf(bench).value(sheetPlan, sheet).result
  const plan = found?.known === true ? found.value : null
  return (
    <figure className="keep-together mt-2 mb-0 shrink-0" data-plate="Sheets as they are sawn">
      {plan === null ? (
        <p className="my-6 max-w-[40rem] text-second">
          {found !== null && !found.known && found.why.kind === 'waiting'
            ? `Nothing can be laid out yet: ${found.why.message}`
            : 'The sheets stand here as they are sawn, once the box has its sizes and a sheet is chosen below.'}
        </p>
      ) : (
        <Sheets bench={bench} plan={plan} />
      )}
    </figure>
  )
}

function Sheets({ bench, plan }: { readonly bench: Bench; readonly plan: SheetPlan }) {
  const rows = cutRows(plan)
  return (
    <>
      <div className="grid gap-3">
        {plan.sheets.map((it, k) => (
          <Sheet key={k} sheet={it} number={k + 1} of={plan.sheets.length} />
        ))}
      </div>
      <div className="no-print flex flex-wrap gap-2 pt-1">
        <button
          type="button"
          className="button"
          onClick={() => download('panels.csv', new TextEncoder().encode(panelsCsv(plan)), 'text/csv')}
        >
          Save the list as CSV
        </button>
      </div>
      <details className="pt-1">
        <summary className="cursor-pointer text-[13.5px]">{rows.length} cuts in their order, those through a sheet first</summary>
        <ol className="m-0 max-w-[46rem] list-none p-0 text-[13.5px]">
          {rows.map((it, k) => (
            <li key={k} className="flex gap-3 border-b border-rule py-1">
              <span className="num w-6 text-second">{k + 1}</span>
              <span>
                Sheet {it.sheet}. {it.words}
              </span>
            </li>
          ))}
        </ol>
      </details>
      <p className="sr-only">{bench.name}</p>
    </>
  )
}

/** The panels of a plan as a list for a saw. */
export function panelsCsv(plan: SheetPlan): string {
  const rows = plan.sheets.flatMap(({ panels }, k) =>
    panels.map(({ name, isTurned, place }) => [k + 1, name, place.along, place.across, isTurned ? 'turned' : ''].join(';')),
  )
  return `sheet;panel;along mm;across mm;turned\n${rows.join('\n')}\n`
}

const ROOM = 640

/** One sheet with its panels, its cuts, and what stays whole. */
function Sheet({ sheet: it, number, of }: { readonly sheet: CutSheet; readonly number: number; readonly of: number }) {
  const { sheet, panels, rests, isBought } = it
  const scale = ROOM / sheet.along
  const [w, h] = [ROOM, sheet.across * scale]
  return (
    <svg
      viewBox={`-2 -2 ${w + 4} ${h + 26}`}
      className="plate w-full max-w-[820px]"
      role="img"
      aria-label={`Sheet ${number} of ${of}`}
      data-sheet={number}
    >
      <Hatching id={`rest-${number}`} />
      <rect width={w} height={h} fill="url(#rest-0)" stroke="var(--ink)" strokeWidth="1.4" />
      {rests.map((r, k) => (
        <rect
          key={k}
          x={r.x * scale}
          y={h - (r.y + r.across) * scale}
          width={r.along * scale}
          height={r.across * scale}
          fill={`url(#rest-${number})`}
          stroke="var(--second)"
          strokeWidth="0.8"
          strokeDasharray="5 4"
        />
      ))}
      {panels.map(({ id, name, place }, k) => (
        <g key={`${id}${k}`}>
          <rect
            x={place.x * scale}
            y={h - (place.y + place.across) * scale}
            width={place.along * scale}
            height={place.across * scale}
            fill="var(--paper)"
            stroke="var(--ink)"
            strokeWidth="1.2"
          />
          <text
            x={(place.x + place.along / 2) * scale}
            y={h - (place.y + place.across / 2) * scale}
            textAnchor="middle"
            fontSize="12"
            fill="var(--ink)"
          >
            {name}
          </text>
          <text
            x={(place.x + place.along / 2) * scale}
            y={h - (place.y + place.across / 2) * scale + 14}
            textAnchor="middle"
            fontSize="10.5"
            className="num"
            fill="var(--second)"
          >
            {printFixed(place.along, 1)} × {printFixed(place.across, 1)}
          </text>
        </g>
      ))}
      <text x="0" y={h + 16} fontSize="11.5" fill="var(--second)">
        {isBought ? 'sheet' : 'offcut'} {number} of {of}, {printFixed(sheet.along, 0)} × {printFixed(sheet.across, 0)} mm; hatched
        stays whole
      </text>
    </svg>
  )
}
