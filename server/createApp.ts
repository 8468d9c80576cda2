import { randomBytes } from 'node:crypto'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import compression from 'compression'
import express, { type Express } from 'express'
import helmet from 'helmet'

export interface AppOptions {
  /** Folder of the built app. */
  dist: string
  /** Garden that the bare address opens. */
  startGarden: 'my' | 'demo'
}

const NONCE_PLACEHOLDER = '__OPEN_BED_NONCE__'
const YEAR_SECONDS = 31_536_000

/**
 * Serves the built app: hashed files for a year, pages fresh each time with a nonce of their own for the style sheets
 * the interface library adds. No inline script, no eval, nothing from elsewhere.
 */
export function createApp({ dist, startGarden }: AppOptions): Express {
  const page = readFileSync(join(dist, 'index.html'), 'utf8')
  const app = express()
  app.use(compression())
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
  app.get('/', (_request, response) => response.redirect(302, `/${startGarden}`))
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
  return app
}
