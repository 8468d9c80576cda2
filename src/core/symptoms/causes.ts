import { BODY_CAUSES } from './bodyCauses'
import { FEED_CAUSES } from './feedCauses'

/** What of a bed's own numbers speaks for each cause. Those with nothing keep the rank of the table. */
export const CAUSES = { ...FEED_CAUSES, ...BODY_CAUSES }

export type CauseId = keyof typeof CAUSES
