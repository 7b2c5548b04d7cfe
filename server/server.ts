import { existsSync } from 'node:fs'
import { extname, join, resolve } from 'node:path'
import express, { type ErrorRequestHandler, type Express } from 'express'
import helmet from 'helmet'

/** What a page may do: its own files, and nothing from anywhere else. */
const POLICY = {
  defaultSrc: ["'none'"],
  scriptSrc: ["'self'"],
  styleSrc: ["'self'", "'unsafe-inline'"],
  fontSrc: ["'self'"],
  imgSrc: ["'self'", 'data:', 'blob:'],
  connectSrc: ["'self'"],
  workerSrc: ["'self'"],
  manifestSrc: ["'self'"],
  baseUri: ["'none'"],
  formAction: ["'self'"],
  frameAncestors: ["'none'"],
  objectSrc: ["'none'"],
}

/** What went wrong in a word; never a path of this machine, nor where in the code. */
const sayFailure: ErrorRequestHandler = (error: { readonly status?: unknown }, _, response, next) => {
  if (response.headersSent) {
    next(error)
    return
  }
  const status = typeof error.status === 'number' && error.status >= 400 && error.status < 600 ? error.status : 500
  const words = status === 404 ? 'There is nothing here.' : status < 500 ? 'This address cannot be read.' : 'The server failed.'
  response.status(status).type('text').send(`${words}\n`)
}

/** A file that was sent needs nothing more. */
const onFailure =
  (next: (error: unknown) => void) =>
  (error: unknown): void => {
    if (error !== undefined) next(error)
  }

/** What a folder lacks to be served, in words; null where it is a built application. */
export function lacksBuild(folder: string): string | null {
  return existsSync(join(resolve(folder), 'index.html'))
    ? null
    : 'The application is not built yet. Run “npm start”, which builds and serves it, or “npm run build” first.'
}

/** Serves a built application with its security headers; every path that is no file is the application's own. */
export function createServer(folder: string): Express {
  const root = resolve(folder)
  const app = express()
  app.disable('x-powered-by')
  app.use(helmet({ contentSecurityPolicy: { useDefaults: false, directives: POLICY }, strictTransportSecurity: false }))
  // A plucked belt is listened to on the page itself; nothing else of the machine is asked for.
  app.use((_, response, next) => {
    response.setHeader('Permissions-Policy', 'microphone=(self), camera=(), geolocation=(), serial=(self)')
    next()
  })
  // Nothing is packed: it goes to this machine only, and packing takes longer than it saves.
  app.use('/assets', express.static(`${root}/assets`, { immutable: true, maxAge: '1y', fallthrough: false }))
  // The worker that keeps the application in the browser must be looked up anew each time, or nothing new is ever found.
  app.get('/sw.js', (_, response, next) =>
    response.sendFile('sw.js', { root, cacheControl: false, headers: { 'cache-control': 'no-cache' } }, onFailure(next)),
  )
  app.use(express.static(root, { index: 'index.html', dotfiles: 'ignore' }))
  // A path with an ending asks for a file, and there is none: a page in its place would only break what asked.
  app.get('/{*rest}', (request, response, next) =>
    extname(request.path) === '' ? response.sendFile('index.html', { root }, onFailure(next)) : next(),
  )
  app.use((_, response) => void response.status(404).type('text').send('There is nothing here.\n'))
  app.use(sayFailure)
  return app
}
