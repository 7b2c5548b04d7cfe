import { KIND_IDS, KINDS, kitLacks, kitMachine, kitWants, type KindId, type KitWant } from '../../core/schedule'
import { countKind, useBenchStore, useFigure } from '../../state'
import { NumberField, VerdictMark } from '../../ui'
import { KindShape } from './kindShapes'

/** The bag tipped out: each kind as it looks, how it is told, how many there are and how many the machine takes. */
export function KitPlate() {
  const bench = useBenchStore((it) => it.bench)
  const lacks = useFigure(kitLacks)
  const machine = useFigure(kitMachine)
  if (bench === null) return null
  const wants = machine?.result.known === true ? kitWants(machine.result.value) : {}
  const counted = Object.values(bench.plan.counted)
  const gaps = lacks?.result.known === true ? lacks.result.value.map((it) => it.kind) : null
  const kinds = KIND_IDS.map((kind) => ({
    kind,
    want: wants[kind],
    count: counted.find((it) => it.kind === kind)?.count ?? null,
    lacks: gaps === null ? null : gaps.includes(kind),
  }))
  return (
    <>
      <p className="mt-3 max-w-[46rem]" role="status">
        {gaps === null
          ? 'Nothing is counted yet. Lay a cloth out, tip the bag onto it and sort it by these kinds; screws are counted under Fasteners, by thread and length.'
          : gaps.length === 0
            ? 'Of every kind that the machine takes there are enough.'
            : `Missing: ${gaps.map((it) => KINDS[it].many.toLowerCase()).join(', ')}.`}
      </p>
      <ul
        className="m-0 mt-2 grid list-none grid-cols-[repeat(auto-fill,minmax(15rem,1fr))] gap-x-5 gap-y-1 p-0"
        data-plate="What is in the bag"
      >
        {kinds.map((it) => (
          <Kind key={it.kind} {...it} isAnyCounted={gaps !== null} />
        ))}
      </ul>
    </>
  )
}

function Kind(props: {
  readonly kind: KindId
  readonly want: KitWant | undefined
  readonly count: number | null
  readonly lacks: boolean | null
  readonly isAnyCounted: boolean
}) {
  const { kind, want, count, lacks, isAnyCounted } = props
  const { many, tell } = KINDS[kind]
  return (
    <li className="keep-together flex items-start gap-3 border-b border-rule py-2" data-kind={kind}>
      <KindShape kind={kind} />
      <span className="min-w-0 flex-1">
        <span className="flex items-center justify-between gap-2">
          <strong className="font-[650]">{many}</strong>
          {isAnyCounted && want !== undefined && want.least > 0 && (
            <VerdictMark mark={lacks === true ? 'look' : 'good'} label={lacks === true ? 'too few' : 'enough'} />
          )}
        </span>
        <span className="block text-[12.5px] leading-snug text-second">{tell}.</span>
        <span className="mt-1 flex items-center gap-2 text-[13px]">
          <NumberField
            label={`${many} counted`}
            hideLabel
            whole
            value={count}
            empty="count"
            className="w-16 text-right"
            keep={(to) => countKind(kind, to)}
          />
          <span className="text-second">{sayWant(want)}</span>
        </span>
      </span>
    </li>
  )
}

function sayWant(want: KitWant | undefined): string {
  if (want === undefined) return 'as many as come with it'
  const { least, most } = want
  if (least === most) return `${least} wanted`
  return least === 0 ? `up to ${most} usual` : `${least} wanted, up to ${most} usual`
}
