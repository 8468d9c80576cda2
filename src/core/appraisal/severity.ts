/** Grave: do not plant in it so. Watch: it will cost something. Note: good to know. */
export const SEVERITIES = ['grave', 'watch', 'note'] as const
export type Severity = (typeof SEVERITIES)[number]
