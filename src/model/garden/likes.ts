import { ownDressingsOf, ownMaterialsOf, type Garden } from './garden'

/** Rows of the tables that the grower's own materials and limes are like, by id; those like none are left out. */
export const likesOf = (garden: Garden): ReadonlyMap<string, string> =>
  new Map([
    ...ownMaterialsOf(garden).flatMap((m) => (m.likeId ? [[m.id, m.likeId] as const] : [])),
    ...ownDressingsOf(garden).flatMap((d) => (d.kind === 'lime' ? [[d.id, d.limeLike] as const] : [])),
  ])
