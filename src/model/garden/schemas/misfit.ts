import type { z } from 'zod/mini'

/** Why a value does not fit its schema. Plain data, worded in src/text. */
export type Misfit =
  | {
      code: 'too-much' | 'too-little'
      of: 'letters' | 'items' | 'number'
      limit: number
      /** The limit itself is too much or too little. */
      isOpen: boolean
    }
  | { code: 'not-one-of'; values: string[] }
  | { code: 'unknown-fields'; fields: string[] }
  | {
      code:
        | 'missing'
        | 'no-day'
        | 'no-number'
        | 'not-whole'
        | 'no-text'
        | 'no-list'
        | 'no-record'
        | 'neither-true-nor-false'
        | 'not-allowed'
    }

type Issue = z.core.$ZodIssue
const OF = { string: 'letters', array: 'items', number: 'number', int: 'number' } as const
const WANTED = {
  number: 'no-number',
  int: 'not-whole',
  string: 'no-text',
  array: 'no-list',
  object: 'no-record',
  boolean: 'neither-true-nor-false',
} as const

/** What is wrong with a value, from what Zod says of it; its own sentences stay out of the app. */
function misfitOf(issue: Issue): Misfit {
  switch (issue.code) {
    case 'too_big':
    case 'too_small': {
      const of = OF[issue.origin as keyof typeof OF] ?? 'number'
      const isOpen = issue.inclusive === false
      return issue.code === 'too_big'
        ? { code: 'too-much', of, limit: Number(issue.maximum), isOpen }
        : { code: 'too-little', of, limit: Number(issue.minimum), isOpen }
    }
    case 'invalid_format':
      return { code: issue.format === 'date' ? 'no-day' : 'not-allowed' }
    case 'invalid_type':
      return { code: WANTED[issue.expected as keyof typeof WANTED] ?? 'not-allowed' }
    case 'invalid_value':
      return { code: 'not-one-of', values: issue.values.map(String) }
    case 'unrecognized_keys':
      return { code: 'unknown-fields', fields: issue.keys }
    default:
      return { code: 'not-allowed' }
  }
}

const depth = (issues: readonly Issue[]) => Math.max(0, ...issues.map((i) => i.path.length))

/** The issue that says most, with its whole path: the deepest of a union's, for the union's own says nothing. */
function tellingIssue(
  issues: readonly Issue[],
  path: readonly PropertyKey[] = [],
): { path: PropertyKey[]; issue: Issue } {
  const issue = issues[0]!
  const here = [...path, ...issue.path]
  if (issue.code === 'invalid_union' && issue.errors.length > 0) {
    const deepest = issue.errors.reduce((a, b) => (depth(b) > depth(a) ? b : a))
    if (deepest.length > 0) return tellingIssue(deepest, here)
  }
  return { path: here, issue }
}

/** Where something given does not fit its schema, and why; what is not there at all is said to be missing. */
export function misfitIn(given: unknown, issues: readonly Issue[]): { path: string[]; misfit: Misfit } {
  const { path, issue } = tellingIssue(issues)
  const there = path.reduce<unknown>((at, key) => (at as Record<PropertyKey, unknown> | null)?.[key], given)
  return { path: path.map(String), misfit: there === undefined ? { code: 'missing' } : misfitOf(issue) }
}
