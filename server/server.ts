import { resolve } from 'node:path'
import compression from 'compression'
import express, { type Express } from 'express'
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

/** Serves a built application with its security headers; every path that is no file is the application's own. */
export function createServer(folder: string): Express {
  const root = resolve(folder)
  const app = express()
  app.disable('x-powered-by')
  app.use(helmet({ contentSecurityPolicy: { useDefaults: false, directives: POLICY }, strictTransportSecurity: false }))
  // A plucked belt is listened to on the page itself; nothing else of the machine is asked for.
  app.use((_, response, next) => {
    response.setHeader('Permissions-Policy', 'microphone=(self), camera=(), geolocation=()')
    next()
  })
  app.use(compression())
  app.use('/assets', express.static(`${root}/assets`, { immutable: true, maxAge: '1y', fallthrough: false }))
  // The worker that keeps the application in the browser must be looked up anew each time, or nothing new is ever found.
  app.get('/sw.js', (_, response) =>
    response.sendFile('sw.js', { root, cacheControl: false, headers: { 'cache-control': 'no-cache' } }),
  )
  app.use(express.static(root, { index: 'index.html', dotfiles: 'ignore' }))
  app.get('/{*rest}', (_, response) => response.sendFile('index.html', { root }))
  return app
}
