import { useBenchStore } from './benchStore'
import { useMachine } from './machineStore'

/** The demo is connected to its stand-in as soon as it is open; any other bench is when it is asked for. */
export async function connectDemo(): Promise<void> {
  const { bench } = useBenchStore.getState()
  if (bench?.id !== 'heron' || useMachine.getState().link !== 'none') return
  const { connectStandIn, standInNumber } = await import('./machine')
  const [finding] = await connectStandIn(standInNumber('heron'), 10, null)
  if (finding !== undefined) useMachine.setState({ finding })
}
