import type { TextPort } from '../core/controller'

/** As much of the browser's serial port as is used; its types are in no library yet. */
interface BrowserPort {
  open(options: { readonly baudRate: number }): Promise<void>
  close(): Promise<void>
  readonly readable: ReadableStream<Uint8Array> | null
  readonly writable: WritableStream<Uint8Array> | null
}
interface BrowserSerial {
  requestPort(): Promise<BrowserPort>
}

/** Whether this browser lets a page speak with a cable. */
export function hasSerial(): boolean {
  return 'serial' in navigator
}

/**
 * Asks the person for a port and opens it. @param baud Signs a second.
 * @returns The port, or why there is none, in a sentence.
 */
export async function openSerialPort(baud: number): Promise<TextPort | string> {
  const serial = (navigator as { readonly serial?: BrowserSerial }).serial
  if (serial === undefined) {
    return 'This browser cannot speak with a cable. Use one with serial ports, at 127.0.0.1 or over https; or type by hand and take programs as files.'
  }
  let port: BrowserPort
  try {
    port = await serial.requestPort()
  } catch {
    return 'No port was chosen. Plug the controller in, then connect again and choose its port.'
  }
  try {
    await port.open({ baudRate: baud })
  } catch (error) {
    return `The port could not be opened: ${error instanceof Error ? error.message : String(error)}. Close what else uses it, or plug it out and in again.`
  }
  return speaking(port)
}

/** Text both ways over an open port. */
function speaking(port: BrowserPort): TextPort {
  let hear: (text: string | null) => void = () => undefined
  let isOpen = true
  const reader = port.readable?.getReader()
  const writer = port.writable?.getWriter()
  const decoder = new TextDecoder()
  const encoder = new TextEncoder()
  const lost = (): void => {
    if (!isOpen) return
    isOpen = false
    hear(null)
  }
  const read = async (): Promise<void> => {
    try {
      for (;;) {
        const piece = await reader?.read()
        if (piece === undefined || piece.done) break
        hear(decoder.decode(piece.value, { stream: true }))
      }
    } catch {
      // The cable is out, or the port was lost: said below.
    }
    lost()
  }
  void read()
  return {
    send: (text) => void writer?.write(encoder.encode(text)).catch(lost),
    listen(listener) {
      hear = listener
    },
    close() {
      isOpen = false
      void Promise.allSettled([reader?.cancel(), writer?.close()]).then(() => port.close().catch(() => undefined))
    },
  }
}
