import { openSerialPort } from '../../src/devices/serialPort'
import { tryFaults } from './linkSuite'
import { settleBy, type CableEnd } from './lossyLink'

/** Opens the browser's own way to a cable, with a port at its other end that is streams into a machine. */
async function openFake(end: CableEnd) {
  const [encoder, decoder] = [new TextEncoder(), new TextDecoder()]
  const port = {
    readable: new ReadableStream<Uint8Array>({
      start(controller) {
        end.push = (text) => {
          try {
            if (text === null) controller.error(new Error('The device has been lost.'))
            else controller.enqueue(encoder.encode(text))
          } catch {
            // It is out already.
          }
        }
      },
    }),
    writable: new WritableStream<Uint8Array>({ write: (bytes) => end.receive(decoder.decode(bytes)) }),
    open: () => Promise.resolve(),
    close: () => Promise.resolve(),
  }
  Object.defineProperty(navigator, 'serial', { configurable: true, value: { requestPort: () => Promise.resolve(port) } })
  const opened = await openSerialPort(115_200)
  if (typeof opened === 'string') throw new Error(opened)
  return opened
}

const channel = new MessageChannel()
let woken: () => void = () => undefined
channel.port1.onmessage = () => woken()
settleBy(
  () =>
    new Promise<void>((done) => {
      woken = done
      channel.port2.postMessage(null)
    }),
)

Object.assign(globalThis, { tryLinkFaults: (quick: number) => tryFaults(openFake, quick) })
