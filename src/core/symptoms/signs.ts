import { BODY_SIGNS } from './bodySigns'
import { FEED_SIGNS } from './feedSigns'

/** What a bed's numbers can say, a row each; causes name the rows that speak for and against them. */
export const SIGNS = { ...FEED_SIGNS, ...BODY_SIGNS }

export type SignId = keyof typeof SIGNS
