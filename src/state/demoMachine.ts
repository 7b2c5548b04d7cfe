import { isPracticeId } from '../core/document'
import { useBenchStore } from './benchStore'
import { useMachine } from './machineStore'

/** The demo and a practice machine are connected as soon as their bench is open; any other bench is when it is asked for. */
export async function connectDemo(): Promise<void> {
  const { bench } = useBenchStore.getState()
  if (bench === null || useMachine.getState().link !== 'none') return
  if (bench.id !== 'heron' && !isPracticeId(bench.id)) return
  const { connectStandIn, standInNumber } = await import('./machine')
  const [finding] = await connectStandIn(standInNumber(bench.id), null)
  if (finding !== undefined) useMachine.setState({ finding })
}
