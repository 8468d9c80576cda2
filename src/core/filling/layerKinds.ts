/** What people put under the mix. Cloth has no thickness worth counting: it keeps mix in and lets water out. */
export const LAYER_KINDS = ['gravel', 'bark', 'logs', 'cloth'] as const
export type LayerKind = (typeof LAYER_KINDS)[number]
