import { randomBytes } from 'node:crypto'
import { readFileSync } from 'node:fs'
import { createServer, type Server } from 'node:http'
import { join } from 'node:path'
import compression from 'compression'
import express, { type ErrorRequestHandler, type Express } from 'express'
import helmet from 'helmet'

export interface AppOptions {
  /** Folder of the built app. */
  dist: string
  /** Garden that the bare address opens. */
  startGarden: 'my' | 'demo'
}

const NONCE_PLACEHOLDER = '__OPEN_BED_NONCE__'
/** What a browser could give a page and Open Bed never asks for. */
const NOT_ASKED_FOR = [
  'camera',
  'microphone',
  'geolocation',
  'payment',
  'usb',
  'serial',
  'hid',
  'midi',
  'display-capture',
] as const
const YEAR_SECONDS = 31_536_000

/**
 * Serves the built app: hashed files for a year, pages fresh each time with a nonce of their own for the style sheets
 * the interface library adds. No inline script, no eval, nothing from elsewhere.
 */
export function createApp({ dist, startGarden }: AppOptions): Express {
  const page = readFileSync(join(dist, 'index.html'), 'utf8')
  const app = express()
  app.use(compression())
  app.use((request, _response, next) => {
    decodeURIComponent(request.path)
    next()
  })
  app.use((_request, response, next) => {
    const nonce = randomBytes(16).toString('base64')
    response.locals.nonce = nonce
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'none'"],
          scriptSrc: ["'self'"],
          styleSrc: ["'self'", `'nonce-${nonce}'`],
          fontSrc: ["'self'"],
          imgSrc: ["'self'", 'data:', 'blob:'],
          connectSrc: ["'self'"],
          workerSrc: ["'self'"],
          manifestSrc: ["'self'"],
          baseUri: ["'none'"],
          formAction: ["'self'"],
          frameAncestors: ["'none'"],
        },
      },
      // Served over plain http on the grower's own machine; whoever puts it behind https sets this there.
      strictTransportSecurity: false,
    })(_request, response, next)
  })
  // The page asks for none of these, and nothing in it may.
  app.use((_request, response, next) => {
    response.set('Permissions-Policy', NOT_ASKED_FOR.map((feature) => `${feature}=()`).join(', '))
    next()
  })
  // The bare page would come without its nonce; it is led to like the bare address.
  app.get(['/', '/index.html'], (_request, response) => response.redirect(302, `/${startGarden}`))
  app.get('/health', (_request, response) => {
    response.set('Cache-Control', 'no-store').type('text').send('ok')
  })
  app.use(
    '/assets',
    express.static(join(dist, 'assets'), { immutable: true, maxAge: YEAR_SECONDS * 1000, index: false }),
  )
  app.use(express.static(dist, { index: false, maxAge: 0 }))
  app.get(/^\/(my|demo)(\/.*)?$/, (_request, response) => {
    response.set('Cache-Control', 'no-store')
    response.type('html').send(page.replaceAll(NONCE_PLACEHOLDER, response.locals.nonce as string))
  })
  app.use((request, response) => {
    response
      .status(404)
      .type('text')
      .send(`There is nothing at ${request.path}. Open Bed starts at /${startGarden}.`)
  })
  app.use(plainly)
  return app
}

/** What went wrong in a line: no stack, no path of this machine. */
const plainly: ErrorRequestHandler = (error: { status?: number }, _request, response, next) => {
  if (response.headersSent) return next(error)
  const status = error instanceof URIError ? 400 : (error.status ?? 500) < 500 ? error.status! : 500
  const said = status === 500 ? 'The server is at fault. Try again.' : 'This address cannot be read.'
  response.status(status).type('text').send(said)
}

export interface Patience {
  /** Time a client has to send the head of its question, and the whole of it, ms. */
  head: number
  whole: number
}
const USUAL: Patience = { head: 10_000, whole: 20_000 }

/** The app behind a server that does not wait for ever: a client that dawdles with its question is hung up on. */
export const serverOf = (app: Express, { head, whole }: Patience = USUAL): Server =>
  createServer(
    { headersTimeout: head, requestTimeout: whole, connectionsCheckingInterval: Math.min(1000, head) },
    app,
  )
