import { once } from 'node:events'
import { createServer } from '../server/server'

/** Serves the build on a free port of this machine, for a benchmark or a picture. */
export async function serveBuild(): Promise<{ readonly home: string; readonly close: () => void }> {
  const server = createServer('dist').listen(0, '127.0.0.1')
  await once(server, 'listening')
  const address = server.address()
  if (typeof address !== 'object' || address === null) throw new Error('the server has no port')
  return { home: `http://127.0.0.1:${address.port}/`, close: () => server.close() }
}
